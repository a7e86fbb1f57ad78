package paredown.refactor.plan;

import java.util.List;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.gate.Gates;
import paredown.gate.Verdict;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Earlier;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Words;

/**
 * A judged change is one that was planned, with what the first two gates say of it.
 *
 * @param program what it was planned on
 */
public record Judged(Refactoring refactoring, Change change, Verdict verdict, Program program) {

  /**
   * Plans a refactoring and lets the gates look at it; nothing is written.
   *
   * @throws Refused where it cannot be done safely; also where objects of a class below would run
   *     another method though no name tells, which only the change itself shows
   */
  public static Judged of(Refactoring refactoring, Sources sources, SourceIndex index) {
    return refactoring
        .steps(sources)
        .map(steps -> Composite.of(refactoring, steps, sources))
        .orElseGet(() -> alone(refactoring, sources, index));
  }

  /** The same for what has no steps. */
  static Judged alone(Refactoring refactoring, Sources sources, SourceIndex index) {
    Refactoring.Planned planned = planned(refactoring, sources, index);
    Verdict verdict = Gates.check(planned.program(), planned.change());
    if (!verdict.dispatch().isEmpty()) {
      String what = verdict.dispatch().get(0);
      throw Refused.advising(
          RefusalKind.DISPATCH,
          Words.capitalised(what) + ".",
          "Choose another name with --name, or leave it where it is.");
    }
    if (verdict.breaks().isEmpty() && !verdict.types().isEmpty()) {
      String[] what = verdict.types().get(0).split(" ", 2);
      throw Refused.advising(
          RefusalKind.INFERRED_TYPE,
          "%s.".formatted(what[1]),
          "Write the type arguments out there first, or keep a delegate where that is a choice.",
          new Earlier(List.of(planned.change())).place(what[0]));
    }
    if (!verdict.passed()) {
      explain(refactoring, planned.change(), verdict);
    }
    Judged judged =
        new Judged(refactoring, planned.change().withoutSame(), verdict, planned.program());
    if (sources.project().settings().strict()) {
      judged.requireProved();
    }
    return judged;
  }

  private static Refactoring.Planned planned(
      Refactoring refactoring, Sources sources, SourceIndex index) {
    try {
      return refactoring.plan(sources, index);
    } catch (Refused refused) {
      throw refused.saying(refactoring.participle());
    }
  }

  /** Lets an operation say what stands in its way, with the places where that stands now. */
  private static void explain(Refactoring refactoring, Change change, Verdict verdict) {
    try {
      refactoring.explain(verdict);
    } catch (Refused refused) {
      Earlier earlier = new Earlier(List.of(change));
      throw refused.at(refused.places().stream().map(earlier::place).toList());
    }
  }

  /**
   * Requires that the change rests on nothing that no proof can give.
   *
   * @throws Refused where it does
   */
  public void requireProved() {
    requireProved(change);
  }

  /** The same for any change. */
  public static void requireProved(Change change) {
    List<Assumption> assumptions = change.report().assumptions();
    if (!assumptions.isEmpty()) {
      throw Refused.advising(
          RefusalKind.ASSUMES,
          "It rests on what no proof can give: " + assumptions.get(0).sentence() + ".",
          "Leave --strict out, or strict: in pare.yaml, to rely on that.",
          assumptions.stream()
              .map(Assumption::place)
              .filter(place -> !place.isEmpty())
              .distinct()
              .toArray(String[]::new));
    }
  }
}
