package paredown.refactor.code;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.List;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;

/** What statements follow each other in: blocks, and the groups of cases that are like them. */
public final class Blocks {
  private Blocks() {}

  /** The statements of a block or of a case's group; empty for everything else. */
  public static List<? extends StatementTree> statements(Tree tree) {
    if (tree instanceof BlockTree block) {
      return block.getStatements();
    }
    return tree instanceof CaseTree group && group.getStatements() != null
        ? group.getStatements()
        : List.of();
  }

  /**
   * Requires that a local variable has its declaration for itself.
   *
   * @throws Refused where others are declared with it
   */
  public static void requireDeclaredAlone(UnitTrees trees, TreePath variable) {
    VariableTree tree = (VariableTree) variable.getLeaf();
    if (!isDeclaredAlone(trees, variable)) {
      throw Refused.advising(
          RefusalKind.SHARED_DECLARATION,
          tree.getName() + " is declared together with other variables.",
          "Declare it in a statement of its own first.",
          trees.place(tree));
    }
  }

  /** Whether no other local variable is declared with one. */
  public static boolean isDeclaredAlone(UnitTrees trees, TreePath variable) {
    Tree tree = variable.getLeaf();
    return statements(variable.getParentPath().getLeaf()).stream()
        .noneMatch(each -> each != tree && trees.start(each) == trees.start(tree));
  }

  /** Whether a tree is a statement of a block, so that another can stand in front of it. */
  public static boolean holds(TreePath statement) {
    return statement.getLeaf() instanceof StatementTree
        && statements(statement.getParentPath().getLeaf()).contains(statement.getLeaf());
  }
}
