package paredown.refactor.operation.superclass;

import java.util.LinkedHashMap;
import java.util.Map;
import paredown.refactor.name.VariablesElsewhere;
import paredown.refactor.use.OwnerClass;

/**
 * A class that has in common with another what goes up.
 *
 * @param owner itself
 * @param fields the fields of the other that go up, each with its own
 * @param methods the methods of the other that go up, or that become abstract above, each with its
 *     own
 */
record Sibling(
    OwnerClass owner,
    Map<OwnerClass.Field, OwnerClass.Field> fields,
    Map<OwnerClass.Method, OwnerClass.Method> methods) {

  Sibling(OwnerClass owner) {
    this(owner, new LinkedHashMap<>(), new LinkedHashMap<>());
  }

  /** What its type variables are above. */
  VariablesElsewhere variables() {
    return VariablesElsewhere.above(owner.program().types(), owner.element());
  }
}
