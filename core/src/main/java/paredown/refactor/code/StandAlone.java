package paredown.refactor.code;

import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.SwitchExpressionTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.type.TypeKind;
import paredown.program.Program;

/**
 * Tells which expressions mean the same wherever they stand: their type does not depend on what is
 * expected of them.
 *
 * <p>The Java Language Specification, section 15.2.
 */
public final class StandAlone {
  private StandAlone() {}

  /** Whether an expression can be asked for something as it is. */
  public static boolean is(Program program, TreePath expression) {
    Tree tree = expression.getLeaf();
    if (tree instanceof ParenthesizedTree inner) {
      return is(program, new TreePath(expression, inner.getExpression()));
    }
    if (tree instanceof ConditionalExpressionTree either) {
      return is(program, new TreePath(expression, either.getTrueExpression()))
          && is(program, new TreePath(expression, either.getFalseExpression()));
    }
    if (tree instanceof MethodInvocationTree call) {
      TreePath selected = new TreePath(expression, call.getMethodSelect());
      return !(program.trees().getElement(selected) instanceof ExecutableElement method)
          || !call.getTypeArguments().isEmpty()
          || !isInferred(method);
    }
    return !(tree instanceof LiteralTree
        || tree instanceof LambdaExpressionTree
        || tree instanceof MemberReferenceTree
        || tree instanceof SwitchExpressionTree);
  }

  /** Whether what a method gives depends on what is expected. */
  private static boolean isInferred(ExecutableElement method) {
    return method.getReturnType().getKind() == TypeKind.TYPEVAR
        && method.getTypeParameters().stream()
            .anyMatch(each -> each.asType().equals(method.getReturnType()));
  }
}
