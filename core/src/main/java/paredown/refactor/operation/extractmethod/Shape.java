package paredown.refactor.operation.extractmethod;

import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;

/**
 * The shape of a call is what it does with what the method gives.
 *
 * @param variable that it declares or sets; null for others
 * @param type of what the method gives, which may be void
 */
record Shape(Result result, VariableElement variable, TypeMirror type) {

  /** The kinds of shapes. */
  enum Result {
    NONE,
    /** The call is the expression. */
    VALUE,
    /** The call gives a variable that the part declares its value. */
    DECLARES,
    /** The call sets a variable that was there before. */
    SETS,
    /** The part ended the method, and the call does. */
    RETURNS
  }
}
