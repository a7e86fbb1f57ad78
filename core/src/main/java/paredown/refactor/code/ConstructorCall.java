package paredown.refactor.code;

import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.StatementTree;

/** The call of another constructor, with which one begins. */
public final class ConstructorCall {
  private ConstructorCall() {}

  /** Whether a statement is that of one of the superclass, which the compiler adds unless said. */
  public static boolean isSuper(StatementTree statement) {
    return asks(statement, "super");
  }

  /** Whether a statement is that of one of the same class. */
  public static boolean isThis(StatementTree statement) {
    return asks(statement, "this");
  }

  private static boolean asks(StatementTree statement, String word) {
    return statement instanceof ExpressionStatementTree done
        && done.getExpression() instanceof MethodInvocationTree call
        && call.getMethodSelect() instanceof IdentifierTree name
        && name.getName().contentEquals(word);
  }
}
