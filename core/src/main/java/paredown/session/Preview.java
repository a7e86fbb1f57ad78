package paredown.session;

import java.util.List;
import paredown.edit.Change;
import paredown.gate.Verdict;
import paredown.refactor.Refactoring;
import paredown.refactor.plan.Joined;

/**
 * A preview is a change with what the first two gates say of it.
 *
 * @param refactoring what was asked for
 */
public record Preview(Refactoring refactoring, Change change, Verdict verdict) {

  /**
   * Several previews, each of what the one before it left, as one.
   *
   * @param summary one sentence of what they do together
   */
  public static Preview joined(String summary, List<Preview> steps) {
    Joined joined =
        new Joined(
            steps.stream()
                .map(each -> new Joined.Part(each.refactoring, each.change, each.verdict))
                .toList());
    CarriedSteps all = new CarriedSteps(steps.stream().map(Preview::refactoring).toList());
    return new Preview(all, joined.change(summary, List.of()), joined.verdict());
  }

  /** What was asked for, as it is typed. */
  public String command() {
    return refactoring.command();
  }
}
