package paredown.refactor.flow;

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
import com.sun.source.util.TreeScanner;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import javax.lang.model.element.Name;

/** The statements of a piece of code that leave it for another place than its end. */
public final class Jumps extends TreePathScanner<Void, Void> {
  private final TreePath code;
  private final List<TreePath> out = new ArrayList<>();

  private Jumps(TreePath code) {
    this.code = code;
  }

  /** Each return, throw, break, continue and yield that has its aim outside. */
  public static List<TreePath> outOf(TreePath code) {
    Jumps jumps = new Jumps(code);
    jumps.scan(code, null);
    return jumps.out;
  }

  public static boolean isLoop(Tree tree) {
    return tree instanceof ForLoopTree
        || tree instanceof EnhancedForLoopTree
        || tree instanceof WhileLoopTree
        || tree instanceof DoWhileLoopTree;
  }

  /** Whether the end of a statement is never reached, as far as its last statements tell. */
  public static boolean neverEnds(StatementTree statement) {
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

  /** The labels in a piece of code. */
  public static Set<String> labels(Tree code) {
    Set<String> labels = new HashSet<>();
    new TreeScanner<Void, Void>() {
      @Override
      public Void visitLabeledStatement(LabeledStatementTree tree, Void unused) {
        labels.add(tree.getLabel().toString());
        return super.visitLabeledStatement(tree, null);
      }
    }.scan(code, null);
    return labels;
  }

  private Void jump(Predicate<Tree> aim) {
    for (TreePath at = getCurrentPath(); ; at = at.getParentPath()) {
      if (aim.test(at.getLeaf())) {
        return null;
      }
      if (at.getLeaf() == code.getLeaf()) {
        out.add(getCurrentPath());
        return null;
      }
    }
  }

  private static Predicate<Tree> labelled(Name label) {
    return tree ->
        tree instanceof LabeledStatementTree labelled && labelled.getLabel().equals(label);
  }

  @Override
  public Void visitBreak(BreakTree tree, Void unused) {
    return jump(
        tree.getLabel() == null
            ? aim -> isLoop(aim) || aim instanceof SwitchTree
            : labelled(tree.getLabel()));
  }

  @Override
  public Void visitContinue(ContinueTree tree, Void unused) {
    return jump(tree.getLabel() == null ? Jumps::isLoop : labelled(tree.getLabel()));
  }

  @Override
  public Void visitYield(YieldTree tree, Void unused) {
    jump(SwitchExpressionTree.class::isInstance);
    return super.visitYield(tree, null);
  }

  @Override
  public Void visitReturn(ReturnTree tree, Void unused) {
    out.add(getCurrentPath());
    return super.visitReturn(tree, null);
  }

  @Override
  public Void visitThrow(ThrowTree tree, Void unused) {
    out.add(getCurrentPath());
    return super.visitThrow(tree, null);
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
