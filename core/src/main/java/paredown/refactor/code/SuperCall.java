package paredown.refactor.code;

import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.StatementTree;

/** The call of a constructor of the superclass, which the compiler adds where it is not said. */
public final class SuperCall {
  private SuperCall() {}

  /** Whether a statement is one, said or not. */
  public static boolean is(StatementTree statement) {
    return statement instanceof ExpressionStatementTree done
        && done.getExpression() instanceof MethodInvocationTree call
        && call.getMethodSelect() instanceof IdentifierTree name
        && name.getName().contentEquals("super");
  }
}
