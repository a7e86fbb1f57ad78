package paredown.refactor.operation.rename;

import paredown.gate.Verdict;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;

/** A clash is a place where a new name is in the way of another, or another of it. */
final class Clash {
  private Clash() {}

  /** The refusal of a name of which the gates say that it means something else somewhere. */
  static Refused of(String name, Verdict verdict) {
    return new Cannot("The name %s is in the way of another, or another of it".formatted(name))
        .because(RefusalKind.NAME_TAKEN, verdict, "Choose another with --name.");
  }
}
