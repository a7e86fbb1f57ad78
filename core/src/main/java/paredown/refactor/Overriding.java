package paredown.refactor;

import javax.lang.model.element.ExecutableElement;
import paredown.program.Program;
import paredown.refactor.effect.Overriders;

/** Tells whether a method is overridden anywhere in the project. */
final class Overriding {
  private Overriding() {}

  /** Whether nothing can override a method: it, or its class, is final, or it is private. */
  static boolean isFinal(ExecutableElement method) {
    return Overriders.isFinal(method);
  }

  static boolean isOverridden(Program program, ExecutableElement method) {
    return new Overriders(program).isOverridden(method);
  }
}
