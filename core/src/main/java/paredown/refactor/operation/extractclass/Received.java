package paredown.refactor.operation.extractclass;

import java.util.Optional;
import paredown.refactor.use.OwnerClass;

/**
 * A parameter by which a method that leaves receives something of its old object.
 *
 * @param name of the parameter
 * @param field whose value it is; empty where it is the whole object
 */
record Received(String name, Optional<OwnerClass.Field> field) {}
