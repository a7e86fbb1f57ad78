package paredown.refactor.code;

import com.sun.source.tree.ArrayAccessTree;
import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewArrayTree;
import com.sun.source.tree.SwitchExpressionTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;

/**
 * Brackets are needed around an expression where it binds less closely than its place asks for.
 *
 * <p>The Java Language Specification, chapter 15, whose productions give the ranks.
 */
public final class Brackets {
  private static final int ANY = 0;
  private static final int CONDITIONAL = 1;

  /** How closely an {@code ||} binds. */
  public static final int OR = 2;

  /** How closely an {@code &&} binds. */
  public static final int AND = OR + 1;

  private static final int RELATION = 8;
  private static final int UNARY = 12;
  private static final int MADE_ARRAY = 13;
  private static final int PRIMARY = 14;

  private Brackets() {}

  /**
   * Whether an expression that is put where another stands needs brackets there.
   *
   * @param place of the other
   */
  public static boolean areNeeded(ExpressionTree expression, TreePath place) {
    Tree around = place.getParentPath().getLeaf();
    return rank(expression) < asked(around, place.getLeaf())
        || isSigned(expression) && isBehindSign(around, place.getLeaf());
  }

  /** Whether an expression needs brackets before a member can be asked of it. */
  public static boolean areNeededBeforeDot(ExpressionTree expression) {
    return rank(expression) < MADE_ARRAY || isSigned(expression);
  }

  /** Whether an expression needs brackets behind a cast. */
  public static boolean areNeededBehindCast(ExpressionTree expression) {
    return rank(expression) < UNARY || isSigned(expression);
  }

  /** Whether a cast needs brackets where another expression stands. */
  public static boolean areNeededAroundCast(TreePath place) {
    return UNARY < asked(place.getParentPath().getLeaf(), place.getLeaf());
  }

  /** Whether {@code c ? a : b} needs brackets where another expression stands. */
  public static boolean areNeededAroundChoice(TreePath place) {
    return CONDITIONAL < asked(place.getParentPath().getLeaf(), place.getLeaf());
  }

  /** Whether an expression needs brackets in front of the question mark of a choice. */
  public static boolean areNeededAsCondition(ExpressionTree expression) {
    return rank(expression) < OR;
  }

  /** Whether an expression needs brackets at the end of a choice. */
  public static boolean areNeededAsLastChoice(ExpressionTree expression) {
    return rank(expression) < CONDITIONAL;
  }

  /** How closely an expression binds; the more, the closer. */
  public static int rank(ExpressionTree tree) {
    if (tree instanceof LambdaExpressionTree
        || tree instanceof AssignmentTree
        || tree instanceof CompoundAssignmentTree) {
      return ANY;
    }
    if (tree instanceof ConditionalExpressionTree) {
      return CONDITIONAL;
    }
    if (tree instanceof BinaryTree) {
      return rank(tree.getKind());
    }
    if (tree instanceof InstanceOfTree) {
      return RELATION;
    }
    if (tree instanceof UnaryTree
        || tree instanceof TypeCastTree
        || tree instanceof SwitchExpressionTree) {
      return UNARY;
    }
    return tree instanceof NewArrayTree ? MADE_ARRAY : PRIMARY;
  }

  private static int rank(Tree.Kind operator) {
    return switch (operator) {
      case CONDITIONAL_OR -> OR;
      case CONDITIONAL_AND -> AND;
      case OR -> OR + 2;
      case XOR -> OR + 3;
      case AND -> OR + 4;
      case EQUAL_TO, NOT_EQUAL_TO -> RELATION - 1;
      case LESS_THAN, GREATER_THAN, LESS_THAN_EQUAL, GREATER_THAN_EQUAL -> RELATION;
      case LEFT_SHIFT, RIGHT_SHIFT, UNSIGNED_RIGHT_SHIFT -> RELATION + 1;
      case PLUS, MINUS -> RELATION + 2;
      default -> RELATION + 3;
    };
  }

  /** The least rank that a place takes without brackets. */
  private static int asked(Tree around, Tree place) {
    if (around instanceof ConditionalExpressionTree either) {
      return either.getCondition() == place
          ? OR
          : either.getFalseExpression() == place ? CONDITIONAL : ANY;
    }
    if (around instanceof BinaryTree binary) {
      int rank = rank(binary.getKind());
      return binary.getLeftOperand() == place ? rank : rank + 1;
    }
    if (around instanceof InstanceOfTree) {
      return RELATION;
    }
    if (around instanceof UnaryTree || around instanceof TypeCastTree) {
      return UNARY;
    }
    if (around instanceof MemberSelectTree || around instanceof MemberReferenceTree) {
      return MADE_ARRAY;
    }
    return around instanceof ArrayAccessTree access && access.getExpression() == place
        ? PRIMARY
        : ANY;
  }

  /** Whether an expression begins with a plus or minus. */
  private static boolean isSigned(ExpressionTree tree) {
    if (tree instanceof LiteralTree literal && literal.getValue() instanceof Number number) {
      return number.doubleValue() < 0 || 1 / number.doubleValue() < 0;
    }
    if (tree instanceof BinaryTree binary) {
      return isSigned(binary.getLeftOperand());
    }
    return switch (tree.getKind()) {
      case UNARY_MINUS, UNARY_PLUS, PREFIX_INCREMENT, PREFIX_DECREMENT -> true;
      default -> false;
    };
  }

  /** Whether what stands in front of a place could be read together with a sign, or as a cast's. */
  private static boolean isBehindSign(Tree around, Tree place) {
    return around instanceof UnaryTree
        || around instanceof TypeCastTree
        || around instanceof BinaryTree binary && binary.getRightOperand() == place;
  }
}
