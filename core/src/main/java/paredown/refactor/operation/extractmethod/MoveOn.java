package paredown.refactor.operation.extractmethod;

import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import paredown.edit.Change;
import paredown.gate.Verdict;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.operation.movemethod.MoveMethod;

/** The move of a method that a step before has made: nobody knew it, so that nobody misses it. */
record MoveOn(MoveMethod move) implements Refactoring {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Planned planned = move.plan(sources, index);
    Change change = planned.change();
    Change.Report report = change.report();
    Change.Report fresh =
        new Change.Report(
            others(report.api()),
            others(report.wider()),
            report.delegates(),
            report.notes(),
            report.assumptions(),
            report.goneTests());
    return new Planned(
        new Change(
            change.summary(),
            change.files(),
            change.became(),
            change.becameForSelf(),
            change.renamedTypes(),
            change.affected(),
            fresh),
        planned.program());
  }

  private List<String> others(List<String> said) {
    Pattern named = Pattern.compile("[#.]" + Pattern.quote(move.method()) + "(?![\\w$])");
    return said.stream().filter(each -> !named.matcher(each).find()).toList();
  }

  @Override
  public void explain(Verdict verdict) {
    move.explain(verdict);
  }

  @Override
  public Set<RefusalKind> accepted() {
    return move.accepted();
  }

  @Override
  public String command() {
    return move.command();
  }

  @Override
  public String says() {
    return move.says();
  }
}
