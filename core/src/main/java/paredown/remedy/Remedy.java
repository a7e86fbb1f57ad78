package paredown.remedy;

import paredown.edit.Change;
import paredown.gate.Verdict;
import paredown.refactor.Refactoring;

/**
 * A remedy is a candidate that was planned on the program and not refused, with its effect.
 *
 * @param verdict what the first two gates say of its change
 */
public record Remedy(
    String id, Refactoring refactoring, Effect effect, Change change, Verdict verdict) {

  /** The part of its id that tells it from the finding's other remedies. */
  public String shortId() {
    return id.substring(id.lastIndexOf('.') + 1);
  }
}
