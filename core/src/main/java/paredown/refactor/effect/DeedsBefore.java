package paredown.refactor.effect;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import paredown.refactor.code.UnitTrees;

/** What a body does before it asks an object for the first time. */
public final class DeedsBefore {
  private static final Set<Deed> ACTING =
      EnumSet.of(Deed.SETS, Deed.CHANGES, Deed.OUTSIDE, Deed.UNKNOWN, Deed.THROWS);

  private final UnitTrees trees;
  private final Effects effects;

  public DeedsBefore(UnitTrees trees, Effects effects) {
    this.trees = trees;
    this.effects = effects;
  }

  /**
   * Whether statements that come before the first that names the object, or calls in that one, do
   * something or may fail.
   */
  public boolean acts(TreePath body, Predicate<TreePath> isObject) {
    List<? extends StatementTree> statements = ((BlockTree) body.getLeaf()).getStatements();
    for (StatementTree statement : statements) {
      TreePath path = new TreePath(body, statement);
      int first = firstOffset(path, isObject);
      if (first < 0) {
        if (effects.of(path).hasAny(ACTING)) {
          return true;
        }
        continue;
      }
      return actsBefore(path, first);
    }
    return false;
  }

  private int firstOffset(TreePath code, Predicate<TreePath> isObject) {
    int[] first = {-1};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void scan(Tree tree, Void unused) {
        if (tree != null && first[0] < 0 && isObject.test(new TreePath(getCurrentPath(), tree))) {
          first[0] = trees.start(tree);
        }
        return super.scan(tree, null);
      }
    }.scan(code, null);
    return first[0];
  }

  /** Whether calls that end before an offset do something. */
  private boolean actsBefore(TreePath statement, int offset) {
    boolean[] acts = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void scan(Tree tree, Void unused) {
        if (tree instanceof com.sun.source.tree.ExpressionTree
            && trees.end(tree) >= 0
            && trees.end(tree) <= offset) {
          acts[0] |= effects.of(new TreePath(getCurrentPath(), tree)).hasAny(ACTING);
          return null;
        }
        return super.scan(tree, null);
      }
    }.scan(statement, null);
    return acts[0];
  }
}
