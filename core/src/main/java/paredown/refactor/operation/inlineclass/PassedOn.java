package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/**
 * A method that passes on all that it is given to another object's method, and gives what that
 * gives.
 *
 * @param called the other method
 */
record PassedOn(OwnerClass.Method method, ExecutableElement called) {
  private static final Set<Modifier> BARS =
      Set.of(Modifier.STATIC, Modifier.SYNCHRONIZED, Modifier.STRICTFP, Modifier.NATIVE);

  /**
   * A method as one that passes on.
   *
   * @param held the field with the other object
   */
  static Optional<PassedOn> of(UnitTrees trees, OwnerClass.Method method, VariableElement held) {
    boolean barred = method.element().getModifiers().stream().anyMatch(BARS::contains);
    return barred
        ? Optional.empty()
        : value(method)
            .filter(path -> path.getLeaf() instanceof MethodInvocationTree)
            .flatMap(path -> of(trees, method, held, path));
  }

  private static Optional<PassedOn> of(
      UnitTrees trees, OwnerClass.Method method, VariableElement held, TreePath path) {
    MethodInvocationTree call = (MethodInvocationTree) path.getLeaf();
    boolean passes =
        call.getMethodSelect() instanceof MemberSelectTree select
            && call.getTypeArguments().isEmpty()
            && isHeld(trees, new TreePath(new TreePath(path, select), select.getExpression()), held)
            && passesAll(trees, method, path);
    return passes
            && trees.element(new TreePath(path, call.getMethodSelect()))
                instanceof ExecutableElement called
            && !called.getModifiers().contains(Modifier.STATIC)
        ? Optional.of(new PassedOn(method, called))
        : Optional.empty();
  }

  private static boolean passesAll(UnitTrees trees, OwnerClass.Method method, TreePath call) {
    List<? extends ExpressionTree> arguments =
        ((MethodInvocationTree) call.getLeaf()).getArguments();
    List<? extends VariableElement> parameters = method.element().getParameters();
    boolean all = arguments.size() == parameters.size();
    for (int i = 0; all && i < arguments.size(); i++) {
      all = parameters.get(i).equals(trees.element(new TreePath(call, arguments.get(i))));
    }
    return all;
  }

  /** The one expression that a method works out; empty where it does more. */
  static Optional<TreePath> value(OwnerClass.Method method) {
    BlockTree body = method.tree().getBody();
    if (body == null || body.getStatements().size() != 1) {
      return Optional.empty();
    }
    StatementTree only = body.getStatements().get(0);
    TreePath at = new TreePath(new TreePath(method.path(), body), only);
    ExpressionTree value =
        only instanceof ReturnTree given
            ? given.getExpression()
            : only instanceof ExpressionStatementTree done ? done.getExpression() : null;
    return Optional.ofNullable(value).map(each -> new TreePath(at, each));
  }

  /** Whether an expression is a field of the object itself. */
  static boolean isHeld(UnitTrees trees, TreePath path, VariableElement held) {
    boolean own =
        path.getLeaf() instanceof IdentifierTree
            || path.getLeaf() instanceof MemberSelectTree select
                && select.getExpression() instanceof IdentifierTree asked
                && asked.getName().contentEquals("this");
    return own && held.equals(trees.element(path));
  }
}
