package paredown.refactor.operation.value;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/** Where the object itself is wanted, and not its value, and what gives it. */
record Wanted(OwnerClass.Field field, WrappedAccessors accessors) {

  /**
   * Whether an expression gives the object then: the field, or what only gives it. A call that is
   * assigned is asked for its value, as a gate wants it to have the type that it had.
   */
  boolean isObject(UnitTrees trees, TreePath expression) {
    Object element = trees.element(expression);
    return expression.getLeaf() instanceof MethodInvocationTree
        ? accessors.gives(element)
            && !(expression.getParentPath().getLeaf() instanceof AssignmentTree)
        : field.element().equals(element);
  }

  /** Whether an expression stands where the object is kept, given or taken. */
  boolean is(UnitTrees trees, TreePath expression) {
    TreePath around = expression.getParentPath();
    Tree tree = around.getLeaf();
    if (tree instanceof AssignmentTree set) {
      return set.getExpression() == expression.getLeaf()
          && !(expression.getLeaf() instanceof MethodInvocationTree)
          && field.element().equals(trees.element(new TreePath(around, set.getVariable())));
    }
    if (tree instanceof ReturnTree) {
      return accessors.gives(trees.element(method(around)));
    }
    List<? extends ExpressionTree> arguments =
        tree instanceof MethodInvocationTree call
            ? call.getArguments()
            : tree instanceof NewClassTree made ? made.getArguments() : List.of();
    int position = arguments.indexOf(expression.getLeaf());
    return position >= 0 && accessors.taken(trees.element(around)) == position;
  }

  private static TreePath method(TreePath path) {
    TreePath at = path;
    while (at.getParentPath() != null
        && !(at.getLeaf() instanceof com.sun.source.tree.MethodTree)) {
      at = at.getParentPath();
    }
    return at;
  }
}
