package paredown.refactor.alike;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import java.util.function.BiPredicate;
import paredown.program.TurnedSign;
import paredown.refactor.code.UnitTrees;

/**
 * Two conditions of which one holds just where the other does not: one of them turned round by the
 * laws of De Morgan, sign by sign. Numbers with a point are smaller, equal, larger or none of it,
 * so that the opposite of {@code <} is not {@code >=} for them.
 */
final class Opposite {
  private final UnitTrees others;
  private final UnitTrees trees;
  private final BiPredicate<Tree, Tree> same;

  /**
   * A comparison of conditions.
   *
   * @param others the file of the first of two
   * @param trees the file of the second
   * @param same whether two expressions say the same
   */
  Opposite(UnitTrees others, UnitTrees trees, BiPredicate<Tree, Tree> same) {
    this.others = others;
    this.trees = trees;
    this.same = same;
  }

  /** Whether an expression could say the opposite of another. */
  static boolean mayBe(Tree one, Tree other) {
    boolean denied = isDenied(one) != isDenied(other);
    Tree core = core(one);
    Tree.Kind wanted = denied ? core.getKind() : TurnedSign.kind(core);
    return TurnedSign.has(core) && core(other).getKind() == wanted;
  }

  private static boolean isDenied(Tree tree) {
    return tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT
        && !isDenied(bare(((UnaryTree) tree).getExpression()));
  }

  /** What is left of an expression without the denials in front of it. */
  private static Tree core(Tree tree) {
    return tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT
        ? core(bare(((UnaryTree) tree).getExpression()))
        : tree;
  }

  private static Tree bare(Tree tree) {
    return tree instanceof ParenthesizedTree within ? bare(within.getExpression()) : tree;
  }

  private static TreePath bare(TreePath path) {
    return path.getLeaf() instanceof ParenthesizedTree within
        ? bare(new TreePath(path, within.getExpression()))
        : path;
  }

  /** Whether the one says the opposite of the other. */
  boolean says(TreePath first, TreePath second) {
    TreePath one = bare(first);
    TreePath two = bare(second);
    if (one.getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT
        && two.getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      return says(denied(one), denied(two));
    }
    if (one.getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      return same.test(bare(denied(one)).getLeaf(), two.getLeaf());
    }
    if (two.getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      return same.test(one.getLeaf(), bare(denied(two)).getLeaf());
    }
    if (!(one.getLeaf() instanceof BinaryTree here)
        || !(two.getLeaf() instanceof BinaryTree there)
        || there.getKind() != TurnedSign.kind(here)) {
      return false;
    }
    if (TurnedSign.joins(here)) {
      return says(
              new TreePath(one, here.getLeftOperand()), new TreePath(two, there.getLeftOperand()))
          && says(
              new TreePath(one, here.getRightOperand()),
              new TreePath(two, there.getRightOperand()));
    }
    return TurnedSign.isSure(others.program(), one)
        && TurnedSign.isSure(trees.program(), two)
        && areSame(here, there);
  }

  private static TreePath denied(TreePath path) {
    return new TreePath(path, ((UnaryTree) path.getLeaf()).getExpression());
  }

  private boolean areSame(BinaryTree here, BinaryTree there) {
    return same.test(bare(here.getLeftOperand()), bare(there.getLeftOperand()))
        && same.test(bare(here.getRightOperand()), bare(there.getRightOperand()));
  }
}
