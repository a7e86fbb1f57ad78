package paredown.refactor.operation.parameterobject;

import javax.lang.model.type.TypeMirror;

/**
 * A component is one of the values that are passed together.
 *
 * @param name of the parameters that hold it
 * @param text of their type, the same for the same types
 */
record Component(String name, TypeMirror type, String text) {}
