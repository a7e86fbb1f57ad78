package paredown.refactor;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/** Tells which expressions cannot be null, whatever was done before. */
final class NonNull {
  private NonNull() {}

  /** Whether an expression cannot be null. */
  static boolean is(UnitTrees trees, TreePath expression) {
    ExpressionTree tree = (ExpressionTree) expression.getLeaf();
    if (tree instanceof NewClassTree
        || tree instanceof IdentifierTree name && name.getName().contentEquals("this")
        || tree instanceof MemberSelectTree select
            && select.getIdentifier().contentEquals("this")) {
      return true;
    }
    Element element = trees.element(expression);
    boolean isType = element instanceof TypeElement;
    return isType || element != null && isMadeOnce(trees, element);
  }

  /** Whether a variable is set once, to a new object. */
  private static boolean isMadeOnce(UnitTrees trees, Element variable) {
    TreePath path = trees.program().declaration(variable);
    if (path == null
        || !(path.getLeaf() instanceof VariableTree tree)
        || !(tree.getInitializer() instanceof NewClassTree)) {
      return false;
    }
    boolean isFinal = variable.getModifiers().contains(Modifier.FINAL);
    boolean local = !variable.getKind().isField();
    return isFinal || local && !Writes.in(trees, path.getParentPath()).contains(variable);
  }
}
