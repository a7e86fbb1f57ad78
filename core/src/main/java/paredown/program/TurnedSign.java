package paredown.program;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;

/**
 * A turned sign is what stands in the opposite of a condition for the sign between its operands, by
 * the laws of De Morgan for the two that join.
 */
public final class TurnedSign {
  private static final Map<Tree.Kind, String> SIGNS =
      Map.of(
          Tree.Kind.EQUAL_TO, "==",
          Tree.Kind.NOT_EQUAL_TO, "!=",
          Tree.Kind.LESS_THAN, "<",
          Tree.Kind.GREATER_THAN_EQUAL, ">=",
          Tree.Kind.GREATER_THAN, ">",
          Tree.Kind.LESS_THAN_EQUAL, "<=",
          Tree.Kind.CONDITIONAL_AND, "&&",
          Tree.Kind.CONDITIONAL_OR, "||");

  private static final Map<Tree.Kind, Tree.Kind> OPPOSITES =
      Map.of(
          Tree.Kind.EQUAL_TO, Tree.Kind.NOT_EQUAL_TO,
          Tree.Kind.NOT_EQUAL_TO, Tree.Kind.EQUAL_TO,
          Tree.Kind.LESS_THAN, Tree.Kind.GREATER_THAN_EQUAL,
          Tree.Kind.GREATER_THAN_EQUAL, Tree.Kind.LESS_THAN,
          Tree.Kind.GREATER_THAN, Tree.Kind.LESS_THAN_EQUAL,
          Tree.Kind.LESS_THAN_EQUAL, Tree.Kind.GREATER_THAN,
          Tree.Kind.CONDITIONAL_AND, Tree.Kind.CONDITIONAL_OR,
          Tree.Kind.CONDITIONAL_OR, Tree.Kind.CONDITIONAL_AND);

  private static final Set<TypeKind> WHOLE =
      EnumSet.of(TypeKind.BYTE, TypeKind.SHORT, TypeKind.CHAR, TypeKind.INT, TypeKind.LONG);

  private TurnedSign() {}

  /** Whether an expression has a sign that can be turned. */
  public static boolean has(Tree tree) {
    return OPPOSITES.containsKey(tree.getKind());
  }

  /** The kind of the opposite; null where an expression has no such sign. */
  public static Tree.Kind kind(Tree tree) {
    return OPPOSITES.get(tree.getKind());
  }

  /** The sign as it is written. */
  public static String written(Tree.Kind kind) {
    return SIGNS.get(kind);
  }

  /** Whether an expression joins two conditions. */
  public static boolean joins(Tree tree) {
    return tree.getKind() == Tree.Kind.CONDITIONAL_AND
        || tree.getKind() == Tree.Kind.CONDITIONAL_OR;
  }

  /**
   * Whether the turned sign says the opposite of a comparison whatever its operands are. Of numbers
   * that are not whole one may be neither smaller nor larger than the other, nor equal.
   */
  public static boolean isSure(Program program, TreePath comparison) {
    BinaryTree tree = (BinaryTree) comparison.getLeaf();
    return switch (tree.getKind()) {
      case EQUAL_TO, NOT_EQUAL_TO -> true;
      default ->
          has(tree)
              && isWhole(program, new TreePath(comparison, tree.getLeftOperand()))
              && isWhole(program, new TreePath(comparison, tree.getRightOperand()));
    };
  }

  private static boolean isWhole(Program program, TreePath operand) {
    TypeMirror type = program.trees().getTypeMirror(operand);
    if (type instanceof DeclaredType boxed) {
      try {
        type = program.types().unboxedType(boxed);
      } catch (IllegalArgumentException e) {
        return false;
      }
    }
    return type != null && WHOLE.contains(type.getKind());
  }
}
