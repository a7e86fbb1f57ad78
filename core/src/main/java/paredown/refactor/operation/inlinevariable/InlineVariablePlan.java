package paredown.refactor.operation.inlinevariable;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.ValueInPlace;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Between;
import paredown.refactor.flow.Shift;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;

/** Works out where a value stands then, or why it cannot. */
final class InlineVariablePlan {
  private final Variable variable;
  private final UnitTrees trees;
  private final Program program;
  private final Assumptions assumptions = new Assumptions();
  private final EditList edits = new EditList();
  private final TypeNames names;

  InlineVariablePlan(Variable variable) {
    this.variable = variable;
    this.trees = variable.trees();
    this.program = trees.program();
    this.names = new TypeNames(trees, program.symbols()::key);
  }

  Change change() {
    variable.require();
    List<TreePath> uses = variable.uses();
    Shift shift =
        new Shift(
            program,
            new CalmCalls(program),
            variable.value(),
            variable.element().asType(),
            assumptions);
    if (uses.isEmpty()) {
      leaveAlone(shift);
    } else {
      requireShifted(shift, uses);
      List<Replacement> places = uses.stream().map(use -> put(use, use == uses.get(0))).toList();
      Optional<LambdaExpression> lambda = LambdaExpression.behind(trees, variable.path());
      if (lambda.isPresent()) {
        edits.add(trees.path(), lambda.get().instead(places, carried()));
      } else {
        places.forEach(each -> edits.add(trees.path(), each));
        edits.add(trees.path(), removal());
      }
    }
    names.imports().forEach(each -> edits.add(trees.path(), each));
    return new Change(
        summary(uses.size()),
        new EditedFiles(program).of(edits),
        Map.of(),
        Map.of(),
        Set.of(trees.path()),
        new Change.Report(List.of(), List.of(), List.of(), notes(shift, uses.size()))
            .assuming(assumptions.all()));
  }

  private String summary(int uses) {
    String name = variable.name();
    return switch (uses) {
      case 0 -> "%s goes; nothing used it.".formatted(name);
      case 1 -> "%s goes; its value stands where it was used.".formatted(name);
      default -> "%s goes; its value stands in %d places.".formatted(name, uses);
    };
  }

  private static List<String> notes(Shift shift, int uses) {
    return uses > 1 && shift.isCalling()
        ? List.of("What its value calls runs in %d places now, instead of once.".formatted(uses))
        : List.of();
  }

  private void requireShifted(Shift shift, List<TreePath> uses) {
    if (uses.size() > 1) {
      shift
          .repeated(uses)
          .ifPresent(
              met -> {
                throw refused(met);
              });
    }
    for (TreePath use : uses) {
      shift
          .over(Between.of(trees, trees.end(variable.tree()), use))
          .ifPresent(
              met -> {
                throw refused(met);
              });
    }
  }

  private Refused refused(Shift.Obstacle met) {
    return Refused.advising(
        met.kind(),
        "%s cannot be inlined: %s, and %s.".formatted(variable.name(), met.kind().why(), met.why()),
        "Leave the variable, or bring its use closer to its declaration.",
        trees.place(met.at().getLeaf()));
  }

  private int start(Tree tree) {
    return trees.start(tree);
  }

  /** Puts the value where the variable was used. */
  private Replacement put(TreePath use, boolean first) {
    ValueInPlace value =
        new ValueInPlace(trees, variable.value(), variable.element().asType(), names);
    return Rewriting.of(
            trees,
            start(use.getLeaf()),
            trees.end(use.getLeaf()),
            "its value stands there",
            value.at(trees, use, first).toArray(Piece[]::new))
        .proving("it is what the variable was");
  }

  private int[] range() {
    return MemberRange.withGap(trees.source(), trees.leaving(variable.tree()));
  }

  /** The declaration goes, with its line and one of two blank lines around it. */
  private Replacement removal() {
    int[] range = range();
    return Rewriting.of(
        trees, range[0], range[1], "its value stands elsewhere", List.of(), List.of(carried()));
  }

  private Carried carried() {
    ExpressionTree value = variable.tree().getInitializer();
    return Carried.range(trees.path(), start(value), trees.end(value));
  }

  /** Without a use, only what the value does stays. */
  private void leaveAlone(Shift shift) {
    ExpressionTree value = variable.tree().getInitializer();
    int start = start(variable.tree());
    if (shift.isOmissible()) {
      int[] line = range();
      edits.add(
          trees.path(),
          Rewriting.of(trees, line[0], line[1], "nothing uses it")
              .proving("working it out does nothing, and nothing uses it"));
    } else if (Values.isStatement(value)) {
      edits.add(trees.path(), Rewriting.of(trees, start, start(value), "nothing uses it"));
    } else {
      throw Refused.advising(
          RefusalKind.RUNS_OFTEN,
          "Nothing uses %s, but working it out could show.".formatted(variable.name()),
          "Make a statement of what shows, and take the rest away.",
          trees.place(variable.tree()));
    }
  }
}
