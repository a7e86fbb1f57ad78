package paredown.refactor.operation.rename;

import paredown.gate.Verdict;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;

/** A clash is a place where a new name is in the way of another, or another of it. */
final class Clash {
  private Clash() {}

  /** The refusal of a name of which the gates say that it means something else somewhere. */
  static Refused of(String name, Verdict verdict) {
    String what = verdict.errors().isEmpty() ? verdict.breaks().get(0) : verdict.errors().get(0);
    return Refused.advising(
        RefusalKind.NAME_TAKEN,
        "The name %s means something else in a place that the change touches.".formatted(name),
        "Choose another with --name.",
        what.split("[ ]", 2)[0].replaceAll(":$", ""));
  }
}
