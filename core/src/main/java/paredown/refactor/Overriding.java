package paredown.refactor;

import java.util.Optional;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;

/** Finds the methods of a program that override another. */
final class Overriding {
  private Overriding() {}

  /** The first declaration that overrides a method; empty where none in these files does. */
  static Optional<Use> of(Program program, String method) {
    return program
        .uses()
        .all()
        .filter(use -> use.kind() == UseKind.OVERRIDES && use.key().contains(method))
        .findFirst();
  }
}
