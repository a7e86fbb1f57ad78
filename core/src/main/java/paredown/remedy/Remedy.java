package paredown.remedy;

import java.util.Collections;
import java.util.List;
import paredown.edit.Change;
import paredown.edit.Region;
import paredown.gate.Verdict;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Place;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.superclass.ExtractSuperclass;
import paredown.refactor.plan.Arguments;
import paredown.text.SourceText;

/**
 * A remedy is a candidate that was planned on the program and not refused, with its effect.
 *
 * @param verdict what the first two gates say of its change
 */
public record Remedy(
    String id, Refactoring refactoring, Effect effect, Change change, Verdict verdict) {

  /** The same with what the finding weighs before and after it, as its first figure. */
  Remedy weighing(int before, int after) {
    return new Remedy(id, refactoring, effect.weighing(before, after), change, verdict);
  }

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

  /**
   * Whether it has taken the fields out already that a candidate would, or up what that would take
   * up, or made a call of the place that it would begin with.
   */
  boolean covers(Candidate candidate) {
    if (refactoring instanceof ExtractClass done
        && candidate.cure() instanceof Cure.Extract other) {
      return !Collections.disjoint(done.fields(), other.refactoring().fields());
    }
    if (refactoring instanceof ExtractSuperclass done
        && candidate.cure() instanceof Cure.Above other) {
      return done.parts().isEmpty() && done.members().containsAll(other.refactoring().members());
    }
    if (!(candidate.cure() instanceof Cure.Part part)
        || part.refactoring().duplicates() == Duplicates.NONE) {
      return false;
    }
    Place place = Place.of(part.refactoring().place());
    return change.files().stream()
        .filter(file -> file.path().equals(place.file()) && !file.isNew())
        .anyMatch(
            file ->
                file.regions().stream()
                    .filter(region -> region.kind() == Region.Kind.REPLACED)
                    .anyMatch(region -> meets(file.before().orElseThrow(), region, place)));
  }

  private static boolean meets(SourceText before, Region region, Place place) {
    return region.from() < region.to()
        && before.line(region.from()) <= place.lastLine()
        && place.firstLine() <= before.line(region.to() - 1);
  }
}
