package paredown.remedy;

import java.util.List;
import paredown.edit.Change;
import paredown.gate.Verdict;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.plan.Arguments;

/**
 * A remedy is a candidate that was planned on the program and not refused, with its effect.
 *
 * @param verdict what the first two gates say of its change
 */
public record Remedy(
    String id, Refactoring refactoring, Effect effect, Change change, Verdict verdict) {

  /** What a person must accept for it: kinds of refusal that it overrules, mostly none. */
  public List<RefusalKind> conditions() {
    return refactoring.accepted().stream().sorted().toList();
  }

  /** What has to be typed for its conditions, behind the command: {@code --accept serialized}. */
  public String accepting() {
    return Arguments.accepting(refactoring.accepted());
  }

  /** The part of its id that tells it from the finding's other remedies. */
  public String shortId() {
    return id.substring(id.lastIndexOf('.') + 1);
  }
}
