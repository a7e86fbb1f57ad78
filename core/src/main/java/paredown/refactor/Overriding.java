package paredown.refactor;

import java.util.Optional;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;

/** Finds the methods of a program that override another. */
final class Overriding {
  private Overriding() {}

  /** Whether nothing can override a method: it, or its class, is final, or it is private. */
  static boolean isFinal(ExecutableElement method) {
    return method.getModifiers().contains(Modifier.PRIVATE)
        || method.getModifiers().contains(Modifier.FINAL)
        || method.getEnclosingElement().getModifiers().contains(Modifier.FINAL);
  }

  /** The first declaration that overrides a method; empty where none in these files does. */
  static Optional<Use> of(Program program, String method) {
    return program
        .uses()
        .all()
        .filter(use -> use.kind() == UseKind.OVERRIDES && use.key().contains(method))
        .findFirst();
  }
}
