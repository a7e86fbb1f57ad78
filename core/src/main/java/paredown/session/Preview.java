package paredown.session;

import paredown.edit.Change;
import paredown.gate.Verdict;
import paredown.refactor.Refactoring;

/**
 * A preview is a change with what the first two gates say of it.
 *
 * @param refactoring what was asked for
 */
public record Preview(Refactoring refactoring, Change change, Verdict verdict) {

  /** What was asked for, as it is typed. */
  public String command() {
    return refactoring.command();
  }
}
