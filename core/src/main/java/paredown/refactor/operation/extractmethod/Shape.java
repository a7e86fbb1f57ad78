package paredown.refactor.operation.extractmethod;

import java.util.List;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;

/**
 * The shape of a call is what it does with what the method gives.
 *
 * @param variables that it declares or sets; none for others
 * @param type of what the method gives, which may be void, and is so where it gives several values
 */
record Shape(Result result, List<VariableElement> variables, TypeMirror type) {

  /** The variable that it declares or sets; null where there is none, or several. */
  VariableElement variable() {
    return variables.size() == 1 ? variables.get(0) : null;
  }

  /** The kinds of shapes. */
  enum Result {
    NONE,
    /** The call is the expression. */
    VALUE,
    /** The call gives a variable that the part declares its value. */
    DECLARES,
    /** The call sets a variable that was there before. */
    SETS,
    /** The call gives an object of several values, for variables of both kinds. */
    SEVERAL,
    /** The call says whether the part left by its one jump, which is done behind it then. */
    LEAVES,
    /** The part ended the method, and the call does. */
    RETURNS
  }
}
