package paredown.refactor.operation.remove;

import java.util.List;
import java.util.Map;
import paredown.edit.Change;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** Works out what heads, calls and comments are without parameters that nothing uses. */
final class RemoveParameterPlan {
  private static final String WHY = "nothing uses the parameter";

  private final RemoveParameter arguments;
  private final OwnerClass owner;
  private final GoingParameters going;
  private final EditList edits = new EditList();

  RemoveParameterPlan(RemoveParameter arguments, OwnerClass owner, GoingParameters going) {
    this.arguments = arguments;
    this.owner = owner;
    this.going = going;
  }

  Change change() {
    WithoutParameters without = new WithoutParameters(arguments.parameter(), WHY, going, edits);
    without.add();
    return new Change(
        "%s, which nothing uses, is gone from %s.".formatted(arguments.parameter(), words()),
        new EditedFiles(owner.program()).of(edits),
        without.became(),
        Map.of(),
        ReadableFiles.paths(owner.program()),
        new Change.Report(without.api(), List.of(), List.of(), List.of())
            .assuming(owner.assumptions().all()));
  }

  private String words() {
    return Listed.of(going.all().keySet().stream().map(GoingParameters::word).distinct().toList());
  }
}
