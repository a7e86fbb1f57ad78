package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.BreakTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ContinueTree;
import com.sun.source.tree.DoWhileLoopTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ForLoopTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LabeledStatementTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.SwitchExpressionTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.WhileLoopTree;
import com.sun.source.tree.YieldTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import java.util.function.Predicate;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;

/** The ways that lead out of a part, besides its end. */
final class Exits extends TreePathScanner<Void, Void> {
  private final UnitTrees trees;
  private final Part part;
  private boolean returns;

  Exits(UnitTrees trees, Part part) {
    this.trees = trees;
    this.part = part;
    part.trees().forEach(path -> scan(path, null));
  }

  /** Whether it has a return statement of its method. */
  boolean returns() {
    return returns;
  }

  /** Whether its end is never reached, as far as its last statement tells. */
  boolean neverEnds() {
    StatementTree last =
        part.isExpression()
            ? null
            : (StatementTree) part.trees().get(part.trees().size() - 1).getLeaf();
    return last != null && neverEnds(last);
  }

  private static boolean neverEnds(StatementTree statement) {
    if (statement instanceof ReturnTree || statement instanceof ThrowTree) {
      return true;
    }
    if (statement instanceof BlockTree block) {
      List<? extends StatementTree> all = block.getStatements();
      return !all.isEmpty() && neverEnds(all.get(all.size() - 1));
    }
    if (statement instanceof IfTree choice) {
      return choice.getElseStatement() != null
          && neverEnds(choice.getThenStatement())
          && neverEnds(choice.getElseStatement());
    }
    if (statement instanceof SynchronizedTree locked) {
      return neverEnds(locked.getBlock());
    }
    if (statement instanceof TryTree tree) {
      boolean all =
          neverEnds(tree.getBlock())
              && tree.getCatches().stream().allMatch(each -> neverEnds(each.getBlock()));
      return all || tree.getFinallyBlock() != null && neverEnds(tree.getFinallyBlock());
    }
    return false;
  }

  private static boolean isLoop(Tree tree) {
    return tree instanceof ForLoopTree
        || tree instanceof EnhancedForLoopTree
        || tree instanceof WhileLoopTree
        || tree instanceof DoWhileLoopTree;
  }

  /** Whether a jump from here has its aim within the part. */
  private boolean staysWithin(Predicate<Tree> aim) {
    for (TreePath at = getCurrentPath(); at != null; at = at.getParentPath()) {
      if (trees.start(at.getLeaf()) < part.start() || trees.end(at.getLeaf()) > part.end()) {
        return false;
      }
      if (aim.test(at.getLeaf())) {
        return true;
      }
    }
    return false;
  }

  private void require(boolean stays, Tree jump, String word) {
    if (!stays) {
      throw Refused.advising(
          RefusalKind.LEAVES_EARLY,
          "The part leaves by a %s for what is around it.".formatted(word),
          "Take all that the %s leaves, or less.".formatted(word),
          trees.place(jump));
    }
  }

  @Override
  public Void visitBreak(BreakTree tree, Void unused) {
    require(
        staysWithin(
            tree.getLabel() == null
                ? aim -> isLoop(aim) || aim instanceof SwitchTree
                : aim ->
                    aim instanceof LabeledStatementTree labeled
                        && labeled.getLabel().equals(tree.getLabel())),
        tree,
        "break");
    return null;
  }

  @Override
  public Void visitContinue(ContinueTree tree, Void unused) {
    require(
        staysWithin(
            tree.getLabel() == null
                ? Exits::isLoop
                : aim ->
                    aim instanceof LabeledStatementTree labeled
                        && labeled.getLabel().equals(tree.getLabel())),
        tree,
        "continue");
    return null;
  }

  @Override
  public Void visitYield(YieldTree tree, Void unused) {
    require(staysWithin(SwitchExpressionTree.class::isInstance), tree, "yield");
    return super.visitYield(tree, null);
  }

  @Override
  public Void visitReturn(ReturnTree tree, Void unused) {
    returns = true;
    return super.visitReturn(tree, null);
  }

  @Override
  public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
    return null;
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    return null;
  }
}
