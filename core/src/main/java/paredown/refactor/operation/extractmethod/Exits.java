package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.BreakTree;
import com.sun.source.tree.ContinueTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.flow.Jumps;

/** The ways that lead out of a part, besides its end. */
final class Exits {
  private final UnitTrees trees;
  private final Part part;
  private final List<TreePath> jumps = new ArrayList<>();

  Exits(UnitTrees trees, Part part) {
    this.trees = trees;
    this.part = part;
    for (TreePath path : part.trees()) {
      for (TreePath jump : Jumps.outOf(path)) {
        if (!(jump.getLeaf() instanceof ThrowTree)) {
          jumps.add(jump);
        }
      }
    }
  }

  /** Whether it has a return statement of its method. */
  boolean returns() {
    return jumps.stream().anyMatch(jump -> jump.getLeaf() instanceof ReturnTree);
  }

  /** Its jumps to what is around it: returns, breaks and continues. */
  List<TreePath> jumps() {
    return jumps;
  }

  /**
   * Whether all of its jumps are one and the same, which a call can do in their place: a return of
   * a literal or of nothing, a break or a continue.
   */
  boolean leaveAlike() {
    return jumps.stream().allMatch(Exits::isPlain)
        && jumps.stream().map(jump -> text(jump.getLeaf())).distinct().count() == 1;
  }

  private static boolean isPlain(TreePath jump) {
    return jump.getLeaf() instanceof ReturnTree tree
        ? tree.getExpression() == null || tree.getExpression() instanceof LiteralTree
        : jump.getLeaf() instanceof BreakTree || jump.getLeaf() instanceof ContinueTree;
  }

  private String text(Tree jump) {
    return trees.source().slice(trees.start(jump), trees.end(jump));
  }

  /** Whether its end is never reached, as far as its last statement tells. */
  boolean neverEnds() {
    StatementTree last =
        part.isExpression()
            ? null
            : (StatementTree) part.trees().get(part.trees().size() - 1).getLeaf();
    return last != null && Jumps.neverEnds(last);
  }

  /**
   * Requires that it leaves by its end or by returns only.
   *
   * @throws Refused where it leaves by something else
   */
  void requireReturns() {
    for (TreePath jump : jumps) {
      if (!(jump.getLeaf() instanceof ReturnTree)) {
        refuse(jump);
      }
    }
  }

  private void refuse(TreePath jump) {
    Tree tree = jump.getLeaf();
    String word =
        tree instanceof BreakTree ? "break" : tree instanceof ContinueTree ? "continue" : "yield";
    throw Refused.advising(
        RefusalKind.LEAVES_EARLY,
        "The part leaves by a %s for what is around it.".formatted(word),
        "Take all that the %s leaves, or less.".formatted(word),
        trees.place(tree));
  }
}
