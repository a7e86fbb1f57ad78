package paredown.refactor.effect;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.TypeCastTree;
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
   * something or may fail. What is given to an object, or put into it, is worked out before it
   * shows whether it is there (The Java Language Specification, sections 15.12.4 and 15.26.1).
   */
  public boolean acts(TreePath body, Predicate<TreePath> isObject) {
    List<? extends StatementTree> statements = ((BlockTree) body.getLeaf()).getStatements();
    for (StatementTree statement : statements) {
      TreePath path = new TreePath(body, statement);
      TreePath first = first(path, isObject);
      if (first == null) {
        if (effects.of(path).hasAny(ACTING)) {
          return true;
        }
        continue;
      }
      return actsBefore(path, trees.start(first.getLeaf()))
          || givenTo(first).stream().anyMatch(each -> effects.of(each).hasAny(ACTING))
          || actsFinally(first, path);
    }
    return false;
  }

  /** Whether something is done at last, in a statement, where asking an object fails. */
  private boolean actsFinally(TreePath object, TreePath statement) {
    for (TreePath at = object; at.getLeaf() != statement.getLeaf(); at = at.getParentPath()) {
      boolean last =
          at.getParentPath().getLeaf() instanceof TryTree attempt
              && attempt.getFinallyBlock() != null
              && attempt.getFinallyBlock() != at.getLeaf()
              && effects
                  .of(new TreePath(at.getParentPath(), attempt.getFinallyBlock()))
                  .hasAny(ACTING);
      if (last) {
        return true;
      }
    }
    return false;
  }

  private static TreePath first(TreePath code, Predicate<TreePath> isObject) {
    TreePath[] first = {null};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void scan(Tree tree, Void unused) {
        if (tree != null && first[0] == null) {
          TreePath at = new TreePath(getCurrentPath(), tree);
          first[0] = isObject.test(at) ? at : null;
        }
        return super.scan(tree, null);
      }
    }.scan(code, null);
    return first[0];
  }

  /** The arguments of the call that an object is asked with, or the value that is put into it. */
  private static List<TreePath> givenTo(TreePath object) {
    TreePath at = object.getParentPath();
    while (at.getLeaf() instanceof ParenthesizedTree || at.getLeaf() instanceof TypeCastTree) {
      at = at.getParentPath();
    }
    if (at.getLeaf() instanceof MemberSelectTree select) {
      TreePath above = at.getParentPath();
      if (above.getLeaf() instanceof AssignmentTree set && set.getVariable() == select) {
        return List.of(new TreePath(above, set.getExpression()));
      }
      at = above;
    }
    if (at.getLeaf() instanceof MethodInvocationTree call) {
      TreePath around = at;
      return call.getArguments().stream()
          .filter(argument -> argument != object.getLeaf())
          .map(argument -> new TreePath(around, argument))
          .toList();
    }
    return List.of();
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
