package paredown.refactor.operation.condition;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.gate.Verdict;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.carry.Negation;
import paredown.refactor.code.Brackets;
import paredown.refactor.code.Part;
import paredown.refactor.code.Place;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.plan.TypedPart;
import paredown.text.SourceText;

/**
 * Reshape condition puts a condition into another form that decides the same: the first step of
 * naming it as a question.
 *
 * @param place where it stands, as it is typed: the condition, or its whole statement
 */
public record ReshapeCondition(String place, ConditionForm form) implements Refactoring {

  /** What becomes of a condition, and where the question stands then. */
  private record Reshaped(EditList edits, int start, int end) {}

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Place wanted = Place.of(place);
    return new Rounds(sources, index)
        .ofFile(
            wanted.path(sources, index),
            trees ->
                new Change(
                    "The condition is %s.".formatted(form.word()),
                    new EditedFiles(trees.program()).of(of(trees, wanted.part(trees)).edits()),
                    Map.of(),
                    Map.of(),
                    Set.of(trees.path()),
                    new Change.Report(List.of(), List.of(), List.of(), List.of())));
  }

  /** The place of the question in its file as it is then. */
  public String after(Sources sources) {
    TypedPart typed = TypedPart.at(place, sources);
    UnitTrees trees = typed.trees();
    Reshaped reshaped = of(trees, typed.part());
    SourceText then = new EditedFiles(trees.program()).of(reshaped.edits()).get(0).after();
    return "%s:%d:%d-%d:%d"
        .formatted(
            trees.path(),
            then.line(reshaped.start()),
            then.column(reshaped.start()),
            then.line(reshaped.end() - 1),
            then.column(reshaped.end() - 1));
  }

  private Reshaped of(UnitTrees trees, Part part) {
    TreePath condition = condition(part);
    Tree around = statement(condition).getLeaf();
    return form == ConditionForm.JOINED
        ? joined(trees, condition, around)
        : turned(trees, condition, around);
  }

  /** The condition that is meant, without brackets around it. */
  private static TreePath condition(Part part) {
    TreePath at = part.first();
    if (at.getLeaf() instanceof IfTree statement && part.trees().size() == 1) {
      at = new TreePath(at, statement.getCondition());
    }
    while (at.getLeaf() instanceof ParenthesizedTree inner) {
      at = new TreePath(at, inner.getExpression());
    }
    return at;
  }

  /** What stands around a condition and its brackets. */
  private static TreePath statement(TreePath condition) {
    TreePath at = condition.getParentPath();
    while (at.getLeaf() instanceof ParenthesizedTree) {
      at = at.getParentPath();
    }
    return at;
  }

  private Reshaped turned(UnitTrees trees, TreePath condition, Tree around) {
    List<Tree> branches = branches(around, condition.getLeaf());
    EditList edits = new EditList();
    boolean denied = branches.isEmpty();
    List<Piece> opposite = Negation.of(trees, condition);
    List<Piece> pieces = new ArrayList<>(opposite);
    if (denied) {
      pieces.add(0, Written.plain("!("));
      pieces.add(Written.plain(")"));
    } else {
      swap(trees, edits, branches.get(0), branches.get(1));
      swap(trees, edits, branches.get(1), branches.get(0));
    }
    int start = trees.start(condition.getLeaf());
    int end = trees.end(condition.getLeaf());
    edits.add(
        trees.path(),
        Rewriting.of(trees, start, end, "it says the opposite", pieces, List.of())
            .proving("the opposite of the opposite is the same"));
    int begin = start + (denied ? 2 : 0);
    return new Reshaped(edits, begin, begin + Negation.length(opposite));
  }

  /** The two branches that can change places; empty where the call is to be denied instead. */
  private static List<Tree> branches(Tree around, Tree condition) {
    if (around instanceof ConditionalExpressionTree choice
        && isWithin(choice.getCondition(), condition)) {
      return List.of(choice.getTrueExpression(), choice.getFalseExpression());
    }
    boolean blocks =
        around instanceof IfTree statement
            && statement.getThenStatement() instanceof BlockTree
            && statement.getElseStatement() instanceof BlockTree;
    return blocks
        ? List.of(((IfTree) around).getThenStatement(), ((IfTree) around).getElseStatement())
        : List.of();
  }

  private static boolean isWithin(Tree whole, Tree condition) {
    return whole == condition
        || whole instanceof ParenthesizedTree inner && isWithin(inner.getExpression(), condition);
  }

  private static void swap(UnitTrees trees, EditList edits, Tree place, Tree other) {
    Carried gone = Carried.range(trees.path(), trees.start(place), trees.end(place));
    Carried come = Carried.range(trees.path(), trees.start(other), trees.end(other));
    edits.add(
        trees.path(),
        Rewriting.of(
                trees,
                trees.start(place),
                trees.end(place),
                "the branches change places",
                List.of(come),
                List.of(gone))
            .proving("the condition says the opposite"));
  }

  private Reshaped joined(UnitTrees trees, TreePath condition, Tree around) {
    IfTree outer = around instanceof IfTree statement ? statement : null;
    IfTree inner = outer == null ? null : only(outer);
    if (inner == null) {
      throw new UnusableRequest(
          "%s is no if with nothing but another if within.".formatted(place),
          "Give the place of one, neither with an else; or leave --condition out.");
    }
    ExpressionTree first = (ExpressionTree) condition.getLeaf();
    ExpressionTree second = ((ParenthesizedTree) inner.getCondition()).getExpression();
    List<Piece> pieces = new ArrayList<>();
    beside(trees, pieces, first);
    pieces.add(Written.plain(" && "));
    List<Piece> asked = new ArrayList<>();
    chain(trees, asked, second);
    pieces.addAll(asked);
    EditList edits = new EditList();
    edits.add(
        trees.path(),
        Rewriting.of(
                trees, trees.start(first), trees.end(first), "both are asked", pieces, List.of())
            .proving("both are asked, one behind the other"));
    Tree body = inner.getThenStatement();
    Indent indent =
        new Indent(
            trees.source().indentAt(trees.start(inner)),
            trees.source().indentAt(trees.start(outer)));
    Carried done =
        new Carried(trees.path(), trees.start(body), trees.end(body), List.of(), indent, null);
    Tree block = outer.getThenStatement();
    edits.add(
        trees.path(),
        Rewriting.of(
                trees,
                trees.start(block),
                trees.end(block),
                "both are asked at once",
                List.of(done),
                asked)
            .proving("it is done where both answer yes"));
    int start = trees.start(first);
    return new Reshaped(edits, start, start + Negation.length(pieces));
  }

  /** The parts of a chain of {@code &&}, which goes on another. */
  private static void chain(UnitTrees trees, List<Piece> pieces, ExpressionTree expression) {
    if (expression instanceof BinaryTree both
        && expression.getKind() == Tree.Kind.CONDITIONAL_AND) {
      chain(trees, pieces, both.getLeftOperand());
      int start = trees.end(both.getLeftOperand());
      int end = trees.start(both.getRightOperand());
      pieces.add(Written.plain(trees.source().slice(start, end)));
      beside(trees, pieces, both.getRightOperand());
    } else {
      beside(trees, pieces, expression);
    }
  }

  /** An expression beside {@code &&}, in brackets where it binds less closely. */
  private static void beside(UnitTrees trees, List<Piece> pieces, ExpressionTree expression) {
    boolean loose = Brackets.rank(expression) < Brackets.AND;
    pieces.add(Written.plain(loose ? "(" : ""));
    pieces.add(Carried.range(trees.path(), trees.start(expression), trees.end(expression)));
    pieces.add(Written.plain(loose ? ")" : ""));
  }

  /** The if that is all that stands in another, where neither has an else. */
  private static IfTree only(IfTree outer) {
    StatementTree within = outer.getThenStatement();
    if (within instanceof BlockTree block && block.getStatements().size() == 1) {
      within = block.getStatements().get(0);
    }
    boolean plain =
        outer.getElseStatement() == null
            && within instanceof IfTree inner
            && inner.getElseStatement() == null;
    return plain ? (IfTree) within : null;
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("The condition cannot be %s".formatted(form.word()))
        .because(RefusalKind.NOT_ALONE, verdict, "Leave --condition out.");
  }

  @Override
  public String command() {
    return "pare extract method %s --condition %s".formatted(Arguments.quoted(place), form.word());
  }

  @Override
  public String says() {
    return "the condition " + form.word();
  }
}
