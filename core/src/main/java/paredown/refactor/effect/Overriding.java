package paredown.refactor.effect;

import javax.lang.model.element.ExecutableElement;
import paredown.program.Program;

/** Tells whether a method is overridden anywhere in the project. */
public final class Overriding {
  private Overriding() {}

  /** Whether nothing can override a method: it, or its class, is final, or it is private. */
  public static boolean isFinal(ExecutableElement method) {
    return Overriders.isFinal(method);
  }

  public static boolean isOverridden(Program program, ExecutableElement method) {
    return new Overriders(program).isOverridden(method);
  }
}
