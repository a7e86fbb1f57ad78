package paredown.refactor;

import paredown.edit.Change;
import paredown.gate.Gates;
import paredown.gate.Verdict;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;

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
    Refactoring.Planned planned = refactoring.plan(sources, index);
    Verdict verdict = Gates.check(planned.program(), planned.change());
    if (!verdict.dispatch().isEmpty()) {
      String what = verdict.dispatch().get(0);
      throw Refused.advising(
          RefusalKind.DISPATCH,
          Words.capitalised(what) + ".",
          "Choose another name with --name, or leave it where it is.");
    }
    return new Judged(refactoring, planned.change(), verdict, planned.program());
  }
}
