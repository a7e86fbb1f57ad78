package paredown.refactor.operation.extractmethod;

import java.util.Set;
import paredown.gate.Verdict;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.program.Unit;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Words;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;

/**
 * Extract method makes a private method of some statements, or of an expression, and calls it in
 * their place.
 *
 * @param place where they stand, as it is typed
 * @param name of the new method
 */
public record ExtractMethod(String place, String name) implements Refactoring {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Words.requireMethodName(name);
    Place wanted = Place.of(place);
    String path = wanted.path(sources, index);
    if (!SourceIndex.isEditable(sources.file(path).orElseThrow())) {
      throw Refused.because(RefusalKind.GENERATED, path, path);
    }
    Set<String> files = Set.of(path);
    return new Rounds(sources, index)
        .plan(
            files,
            program -> {
              ReadableFiles.require(program, files);
              return new Rounds.Outcome(files, () -> plan(program, path, wanted, index).change());
            });
  }

  private ExtractMethodPlan plan(Program program, String path, Place wanted, SourceIndex index) {
    Unit unit = program.unit(path).orElseThrow();
    UnitTrees trees = new UnitTrees(program, unit);
    Part part = Part.of(trees, wanted.within(unit.source()));
    return new ExtractMethodPlan(this, trees, part);
  }

  @Override
  public void explain(Verdict verdict) {
    String what = verdict.errors().isEmpty() ? verdict.breaks().get(0) : verdict.errors().get(0);
    throw Refused.advising(
        RefusalKind.NOT_ALONE,
        "The part does not mean the same in a method of its own: %s.".formatted(what),
        "Take more, or less.",
        what.split("[ ]", 2)[0].replaceAll(":$", ""));
  }

  @Override
  public Set<RefusalKind> accepted() {
    return Set.of();
  }

  @Override
  public String command() {
    return "pare extract method %s --name %s".formatted(Arguments.quoted(place), name);
  }

  @Override
  public String says() {
    return "extract %s".formatted(name);
  }
}
