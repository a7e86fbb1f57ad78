package paredown.refactor.operation.extractvariable;

import com.sun.source.util.TreePath;
import java.util.List;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.name.TypeNames;

/** What holds a value then: a local variable, or a field. */
sealed interface Holder permits LocalHolder, FieldHolder {
  /** What stands in front of the value where it is given, the sign of equality among it. */
  Written beginning(TypeNames names);

  /** Its name, where its value is used. */
  Written named();

  /** Its declaration, where that stands elsewhere. */
  List<Replacement> declared(TypeNames names);

  /**
   * Requires that it has the value still wherever it is named.
   *
   * @param statement the one that gives it the value
   */
  void requireKept(TreePath statement, List<TreePath> named, Assumptions assumptions);
}
