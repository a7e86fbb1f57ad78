package paredown.refactor.flow;

import com.sun.source.tree.AssertTree;
import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.CatchTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.DoWhileLoopTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ForLoopTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.WhileLoopTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import paredown.refactor.code.Children;
import paredown.refactor.code.UnitTrees;

/**
 * Between is what runs after a place of a body and before an expression in it, and how the
 * expression is reached from there.
 *
 * @param code statements and expressions in the order in which they run; a loop around the
 *     expression is among them as a whole
 * @param repeats whether it is reached several times
 * @param perhaps whether a condition stands in front of it
 * @param later whether it stands in a lambda or class, so that nobody knows when it is reached
 * @param guarded whether it stands in a try statement or a lock that the place is not in
 */
public record Between(
    List<TreePath> code, boolean repeats, boolean perhaps, boolean later, boolean guarded) {

  public Between {
    code = List.copyOf(code);
  }

  /**
   * What runs between a place and an expression behind it.
   *
   * @param from where a statement of a block around the expression begins or ends
   */
  public static Between of(UnitTrees trees, int from, TreePath expression) {
    Walk walk = new Walk(trees, from);
    for (TreePath at = expression; at.getParentPath() != null; at = at.getParentPath()) {
      TreePath around = at.getParentPath();
      walk.step(around, at.getLeaf());
      if (trees.start(around.getLeaf()) < from) {
        break;
      }
    }
    return new Between(walk.code, walk.repeats, walk.perhaps, walk.later, walk.guarded);
  }

  private static final class Walk {
    private final UnitTrees trees;
    private final int from;
    private final List<TreePath> code = new ArrayList<>();
    private boolean repeats;
    private boolean perhaps;
    private boolean later;
    private boolean guarded;

    Walk(UnitTrees trees, int from) {
      this.trees = trees;
      this.from = from;
    }

    /** Goes from a part of a tree to the tree. */
    void step(TreePath around, Tree part) {
      Tree tree = around.getLeaf();
      if (isRepeated(tree, part)) {
        repeats = true;
        perhaps |= !(tree instanceof DoWhileLoopTree);
        code.add(0, around);
        return;
      }
      // What holds the place as well is entered already.
      boolean entered = trees.start(tree) < from;
      perhaps |= !entered && isPerhaps(tree, part);
      later |= !entered && (tree instanceof LambdaExpressionTree || tree instanceof ClassTree);
      if (tree instanceof TryTree attempt) {
        guarded |= !attempt.getCatches().isEmpty() || attempt.getFinallyBlock() != null;
        guarded |= !attempt.getResources().isEmpty();
        if (part instanceof CatchTree || part == attempt.getFinallyBlock()) {
          code.add(0, around);
          return;
        }
      }
      guarded |= tree instanceof SynchronizedTree locked && locked.getBlock() == part;
      if (!(tree instanceof ClassTree) && !isPlainTarget(tree)) {
        addBefore(around, part);
      }
    }

    /** A variable that is set, and not read, is looked at when the value is there. */
    private static boolean isPlainTarget(Tree tree) {
      return tree instanceof AssignmentTree set && set.getVariable() instanceof IdentifierTree;
    }

    private void addBefore(TreePath around, Tree part) {
      int end = trees.start(part);
      int next = 0;
      for (Tree each : Children.of(around.getLeaf())) {
        int start = trees.start(each);
        if (start >= from && start >= 0 && trees.end(each) <= end && each != part) {
          code.add(next++, worked(new TreePath(around, each)));
        }
      }
    }

    /** Of the name of a called method only the object is worked out before what is given. */
    private static TreePath worked(TreePath part) {
      boolean called =
          part.getParentPath().getLeaf() instanceof MethodInvocationTree call
              && call.getMethodSelect() == part.getLeaf();
      return called && part.getLeaf() instanceof MemberSelectTree select
          ? new TreePath(part, select.getExpression())
          : part;
    }

    private static boolean isRepeated(Tree tree, Tree part) {
      if (tree instanceof ForLoopTree loop) {
        return !loop.getInitializer().contains(part);
      }
      if (tree instanceof EnhancedForLoopTree loop) {
        return loop.getStatement() == part;
      }
      return tree instanceof WhileLoopTree || tree instanceof DoWhileLoopTree;
    }

    private static boolean isPerhaps(Tree tree, Tree part) {
      if (tree instanceof IfTree choice) {
        return choice.getThenStatement() == part || choice.getElseStatement() == part;
      }
      if (tree instanceof ConditionalExpressionTree either) {
        return either.getCondition() != part;
      }
      if (tree instanceof BinaryTree binary) {
        boolean lazy =
            tree.getKind() == Tree.Kind.CONDITIONAL_AND
                || tree.getKind() == Tree.Kind.CONDITIONAL_OR;
        return lazy && binary.getRightOperand() == part;
      }
      return tree instanceof CaseTree || tree instanceof CatchTree || tree instanceof AssertTree;
    }
  }
}
