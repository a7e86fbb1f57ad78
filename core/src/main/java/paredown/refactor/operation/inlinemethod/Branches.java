package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.CatchTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.Negation;
import paredown.refactor.code.Returns;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.flow.Jumps;

/**
 * The statements of a method that returns in its middle, as branches that all come to one end: what
 * follows a branch that returns stands in the other one.
 */
final class Branches {
  private final SiteCode code;
  private final Ending ending;
  private final Preset preset;
  private final String unit;
  private final UnitTrees trees;
  private final Commented text;

  Branches(SiteCode code, Ending ending, Preset preset) {
    this.preset = preset;
    this.code = code;
    this.ending = ending;
    this.unit = code.unit();
    this.trees = code.body().trees();
    this.text = new Commented(code);
  }

  /**
   * The statements of the whole body.
   *
   * @throws Refused where one returns from within what branches cannot say
   */
  List<Piece> all(String indent) {
    return of(statements(code.body().path()), indent);
  }

  private List<Piece> of(List<TreePath> statements, String indent) {
    int at = 0;
    while (at < statements.size() && Returns.in(statements.get(at)).isEmpty()) {
      at++;
    }
    List<Piece> pieces = new ArrayList<>();
    if (at > 0) {
      pieces.addAll(runs(statements.subList(0, at), indent));
    }
    if (at < statements.size()) {
      TreePath leaving = statements.get(at);
      List<TreePath> rest = statements.subList(at + 1, statements.size());
      List<Piece> branch = branch(leaving, rest, indent);
      if (!pieces.isEmpty() && !branch.isEmpty()) {
        pieces.add(text.between(leaving, indent));
      }
      pieces.addAll(branch);
    }
    return pieces;
  }

  /** Statements without a return, each run of them that stands in one block. */
  private List<Piece> runs(List<TreePath> statements, String indent) {
    TreePath first = statements.get(0);
    Tree block = first.getParentPath().getLeaf();
    int same = 1;
    while (same < statements.size() && statements.get(same).getParentPath().getLeaf() == block) {
      same++;
    }
    int end = text.behind(statements.get(same - 1));
    List<Piece> pieces = new ArrayList<>(List.of(text.range(text.lead(first), end, first, indent)));
    if (same < statements.size()) {
      List<TreePath> others = statements.subList(same, statements.size());
      pieces.add(text.between(others.get(0), indent));
      pieces.addAll(runs(others, indent));
    }
    return pieces;
  }

  private List<Piece> branch(TreePath at, List<TreePath> rest, String indent) {
    Tree tree = at.getLeaf();
    if (tree instanceof ReturnTree) {
      return end(at, indent);
    }
    if (tree instanceof IfTree) {
      return choice(at, rest, indent);
    }
    if (tree instanceof BlockTree) {
      return block(List.of(), of(joined(statements(at), rest), indent + unit), indent);
    }
    if (tree instanceof SynchronizedTree locked && rest.isEmpty()) {
      TreePath body = new TreePath(at, locked.getBlock());
      List<Piece> head = text.comment(at, indent);
      head.add(text.range(trees.start(tree), trees.start(body.getLeaf()), at, indent));
      return block(head, of(statements(body), indent + unit), indent);
    }
    if (tree instanceof TryTree attempt && ending.canBeTried(attempt)) {
      return attempt(at, attempt, rest, indent);
    }
    if (Breaks.canLeave(at)) {
      return left(at, rest, indent);
    }
    throw refused(at);
  }

  /** A loop or switch that breaks leave, with what it gives otherwise in front of it. */
  private List<Piece> left(TreePath at, List<TreePath> rest, String indent) {
    Breaks breaks = new Breaks(code, ending, at);
    Optional<TreePath> other = rest.size() == 1 ? preset.of(at, rest.get(0)) : Optional.empty();
    boolean set = rest.isEmpty() || other.isPresent() && ending.canBeFirst();
    if (!set || !breaks.areWhole()) {
      throw refused(at);
    }
    List<Piece> pieces = new ArrayList<>();
    if (other.isPresent() && preset.value().isEmpty()) {
      pieces.addAll(ending.at(other.get(), indent));
      code.newLine(pieces, indent);
    }
    pieces.addAll(text.comment(at, indent));
    pieces.addAll(breaks.pieces(indent));
    return pieces;
  }

  private Refused refused(TreePath at) {
    return Refused.advising(
        RefusalKind.LEAVES_EARLY,
        "The method returns from so deep that no branch or break can take the place of that.",
        "Extract what comes before as a method of its own, and inline that.",
        code.call().place(),
        trees.place(Returns.in(at).get(0).getLeaf()));
  }

  /** What stands for a return, with the comments at it. */
  private List<Piece> end(TreePath at, String indent) {
    ReturnTree tree = (ReturnTree) at.getLeaf();
    int start = trees.start(tree);
    int end = trees.end(tree);
    List<Piece> value =
        tree.getExpression() == null
            ? List.of()
            : ending.at(new TreePath(at, tree.getExpression()), indent);
    List<Piece> pieces = new ArrayList<>(text.comment(text.lead(at), start, at, indent));
    if (!value.isEmpty()) {
      code.newLine(pieces, indent);
      pieces.addAll(value);
    }
    List<Piece> comment = text.comment(end, text.behind(at), at, indent);
    if (!comment.isEmpty() && !value.isEmpty()) {
      pieces.add(Written.plain(" "));
    }
    pieces.addAll(comment);
    return pieces;
  }

  private List<Piece> choice(TreePath at, List<TreePath> rest, String indent) {
    IfTree tree = (IfTree) at.getLeaf();
    TreePath then = new TreePath(at, tree.getThenStatement());
    TreePath other =
        tree.getElseStatement() == null ? null : new TreePath(at, tree.getElseStatement());
    boolean thenEnds = Jumps.neverEnds(tree.getThenStatement());
    boolean otherEnds = other != null && Jumps.neverEnds(tree.getElseStatement());
    if (!rest.isEmpty() && !thenEnds && !otherEnds) {
      throw refused(at);
    }
    List<TreePath> others = other == null ? List.of() : statements(other);
    List<Piece> first =
        of(thenEnds ? statements(then) : joined(statements(then), rest), indent + unit);
    List<TreePath> second = thenEnds ? joined(others, rest) : others;
    boolean chained = isChained(second);
    List<Piece> last = of(second, chained && !first.isEmpty() ? indent : indent + unit);
    if (first.isEmpty()) {
      return turned(at, last, indent);
    }
    int end = trees.end(tree.getCondition());
    List<Piece> head = text.comment(at, indent);
    head.add(text.range(trees.start(tree), end, at, indent));
    List<Piece> pieces = block(head, first, indent);
    if (!last.isEmpty()) {
      pieces.add(Written.plain(" else "));
      pieces.addAll(chained ? last : block(List.of(), last, indent));
    }
    return pieces;
  }

  /** What stands behind a guard that only left, under the opposite of its condition. */
  private List<Piece> turned(TreePath at, List<Piece> statements, String indent) {
    if (statements.isEmpty()) {
      throw refused(at);
    }
    TreePath brackets = new TreePath(at, ((IfTree) at.getLeaf()).getCondition());
    ParenthesizedTree condition = (ParenthesizedTree) brackets.getLeaf();
    List<Piece> head = text.comment(at, indent);
    head.add(Written.plain("if ("));
    head.addAll(
        Negation.of(trees, new TreePath(brackets, condition.getExpression()), code::expression));
    head.add(Written.plain(")"));
    return block(head, statements, indent);
  }

  private List<Piece> attempt(TreePath at, TryTree tree, List<TreePath> rest, String indent) {
    TreePath body = new TreePath(at, tree.getBlock());
    List<TreePath> parts =
        Stream.concat(
                Stream.of(body),
                tree.getCatches().stream()
                    .map(each -> new TreePath(new TreePath(at, each), each.getBlock())))
            .toList();
    List<TreePath> going =
        parts.stream().filter(each -> !Jumps.neverEnds((StatementTree) each.getLeaf())).toList();
    boolean last = tree.getFinallyBlock() != null;
    boolean inCatch = going.size() == 1 && going.get(0) != body && !last;
    if (!rest.isEmpty() && !inCatch || last && !isWithout(tree.getFinallyBlock(), at)) {
      throw refused(at);
    }
    List<Piece> pieces = text.comment(at, indent);
    int from = trees.start(tree);
    for (TreePath part : parts) {
      int start = trees.start(part.getLeaf());
      List<TreePath> own = statements(part);
      boolean goesOn = !rest.isEmpty() && part == going.get(0);
      List<Piece> head = new ArrayList<>();
      if (part.getParentPath().getLeaf() instanceof CatchTree) {
        pieces.add(Written.plain(" "));
        from = trees.start(part.getParentPath().getLeaf());
      }
      head.add(text.range(from, start, at, indent));
      pieces.addAll(block(head, of(goesOn ? joined(own, rest) : own, indent + unit), indent));
    }
    if (last) {
      int end = trees.end(parts.get(parts.size() - 1).getLeaf());
      pieces.add(text.range(end, trees.end(tree.getFinallyBlock()), at, indent));
    }
    return pieces;
  }

  private static boolean isWithout(BlockTree block, TreePath at) {
    return Returns.in(new TreePath(at, block)).isEmpty();
  }

  private List<Piece> block(List<Piece> head, List<Piece> statements, String indent) {
    List<Piece> pieces = new ArrayList<>(head);
    String end = code.source().lineEnd();
    pieces.add(Written.plain(head.isEmpty() ? "{" : " {"));
    pieces.add(Written.plain(statements.isEmpty() ? "" : end + indent + unit));
    pieces.addAll(statements);
    pieces.add(Written.plain(statements.isEmpty() ? "}" : end + indent + "}"));
    return pieces;
  }

  /** Whether statements become one choice that can stand behind an else. */
  private boolean isChained(List<TreePath> statements) {
    if (statements.isEmpty() || !(statements.get(0).getLeaf() instanceof IfTree first)) {
      return false;
    }
    TreePath path = statements.get(0);
    boolean bare = text.lead(path) == trees.start(first);
    return bare
        && (!Returns.in(path).isEmpty()
            || statements.size() == 1 && text.behind(path) == trees.end(first));
  }

  private static List<TreePath> joined(List<TreePath> some, List<TreePath> others) {
    return Stream.concat(some.stream(), others.stream()).toList();
  }

  static List<TreePath> statements(TreePath branch) {
    return branch.getLeaf() instanceof BlockTree block
        ? block.getStatements().stream().map(each -> new TreePath(branch, each)).toList()
        : List.of(branch);
  }
}
