package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.BreakTree;
import com.sun.source.tree.ContinueTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.util.TreePath;
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
  private boolean returns;

  Exits(UnitTrees trees, Part part) {
    this.trees = trees;
    this.part = part;
    for (TreePath path : part.trees()) {
      for (TreePath jump : Jumps.outOf(path)) {
        returns |= jump.getLeaf() instanceof ReturnTree;
        if (!(jump.getLeaf() instanceof ReturnTree || jump.getLeaf() instanceof ThrowTree)) {
          refuse(jump);
        }
      }
    }
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
