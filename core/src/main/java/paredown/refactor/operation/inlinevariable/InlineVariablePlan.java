package paredown.refactor.operation.inlinevariable;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewArrayTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Copied;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Brackets;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Between;
import paredown.refactor.flow.Shift;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.text.SourceText;

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
    Shift shift = new Shift(program, new CalmCalls(program), variable.value(), assumptions);
    if (uses.isEmpty()) {
      leaveAlone(shift);
    } else {
      requireShifted(shift, uses);
      for (TreePath use : uses) {
        edits.add(trees.path(), put(use, use == uses.get(0)));
      }
      edits.add(trees.path(), removal());
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
          .repeated()
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
    ExpressionTree value = variable.tree().getInitializer();
    List<Piece> pieces = new ArrayList<>();
    boolean bare = value instanceof NewArrayTree array && array.getType() == null;
    boolean cast = !bare && isConverted(use);
    boolean around = cast ? Brackets.areNeededAroundCast(use) : Brackets.areNeeded(value, use);
    boolean within = cast && Brackets.areNeededBehindCast(value);
    if (around) {
      pieces.add(Written.plain("("));
    }
    if (cast || bare) {
      Written.Text text = Written.text(bare ? "new " : "(");
      names.write(text, variable.element().asType(), scope());
      pieces.add(text.text(bare ? " " : ") ").done());
    }
    if (within) {
      pieces.add(Written.plain("("));
    }
    pieces.add(first ? carried(use) : copied());
    String closing = (within ? ")" : "") + (around ? ")" : "");
    if (!closing.isEmpty()) {
      pieces.add(Written.plain(closing));
    }
    int start = start(use.getLeaf());
    return Rewriting.of(
            trees,
            start,
            trees.end(use.getLeaf()),
            "its value stands there",
            pieces.toArray(Piece[]::new))
        .proving("it is what the variable was");
  }

  private TypeElement scope() {
    return trees.classAround(variable.path());
  }

  private Carried carried(TreePath use) {
    SourceText source = trees.source();
    Tree value = variable.tree().getInitializer();
    String from = source.indentAt(start(variable.tree()));
    String to = source.indentAt(start(use.getLeaf()));
    Indent indent = from.equals(to) ? Indent.SAME : new Indent(from, to);
    return new Carried(trees.path(), start(value), trees.end(value), List.of(), indent, null);
  }

  private Copied copied() {
    Tree value = variable.tree().getInitializer();
    return new Copied(trees.path(), start(value), trees.end(value), List.of());
  }

  /** Whether the variable made its value another one, which its place does not do by itself. */
  private boolean isConverted(TreePath use) {
    TypeMirror declared = variable.element().asType();
    TypeMirror given = program.trees().getTypeMirror(variable.value());
    boolean converted =
        given != null && (declared.getKind().isPrimitive() || given.getKind().isPrimitive());
    if (!converted || program.types().isSameType(declared, given)) {
      return false;
    }
    TypeMirror asked = asked(use);
    return asked == null || !program.types().isSameType(asked, declared);
  }

  /** The type of what is set to the value as it is; null where none is. */
  private TypeMirror asked(TreePath use) {
    TreePath around = use.getParentPath();
    Tree tree = around.getLeaf();
    if (tree instanceof VariableTree set) {
      return trees.isVar(set) ? null : program.trees().getTypeMirror(around);
    }
    if (tree instanceof AssignmentTree set) {
      return program.trees().getTypeMirror(new TreePath(around, set.getVariable()));
    }
    return null;
  }

  private int[] range() {
    return MemberRange.withGap(trees.source(), trees.leaving(variable.tree()));
  }

  /** The declaration goes, with its line and one of two blank lines around it. */
  private Replacement removal() {
    int[] range = range();
    ExpressionTree value = variable.tree().getInitializer();
    Carried carried = Carried.range(trees.path(), start(value), trees.end(value));
    return Rewriting.of(
        trees, range[0], range[1], "its value stands elsewhere", List.of(), List.of(carried));
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
    } else if (isStatement(value)) {
      edits.add(trees.path(), Rewriting.of(trees, start, start(value), "nothing uses it"));
    } else {
      throw Refused.advising(
          RefusalKind.RUNS_OFTEN,
          "Nothing uses %s, but working it out could show.".formatted(variable.name()),
          "Make a statement of what shows, and take the rest away.",
          trees.place(variable.tree()));
    }
  }

  private static boolean isStatement(ExpressionTree value) {
    return switch (value.getKind()) {
      case PREFIX_INCREMENT, PREFIX_DECREMENT, POSTFIX_INCREMENT, POSTFIX_DECREMENT -> true;
      default ->
          value instanceof MethodInvocationTree
              || value instanceof NewClassTree
              || value instanceof AssignmentTree
              || value instanceof CompoundAssignmentTree;
    };
  }
}
