package paredown.refactor.code;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.VariableElement;

/** Constant expressions, whose values the compiler knows (JLS 15.29). */
public final class Constants {
  private Constants() {}

  /** The first part of an expression whose value the compiler does not know; empty for none. */
  public static Optional<TreePath> unknown(UnitTrees trees, TreePath path) {
    ExpressionTree tree = (ExpressionTree) path.getLeaf();
    if (isKnown(trees, path)) {
      return Optional.empty();
    }
    List<ExpressionTree> parts = parts(tree);
    return parts.isEmpty()
        ? Optional.of(path)
        : parts.stream()
            .flatMap(part -> unknown(trees, new TreePath(path, part)).stream())
            .findFirst();
  }

  private static boolean isKnown(UnitTrees trees, TreePath path) {
    Tree tree = path.getLeaf();
    return tree instanceof LiteralTree && tree.getKind() != Tree.Kind.NULL_LITERAL
        || (tree instanceof IdentifierTree || tree instanceof MemberSelectTree)
            && trees.element(path) instanceof VariableElement variable
            && variable.getKind() == ElementKind.FIELD
            && variable.getConstantValue() != null;
  }

  private static List<ExpressionTree> parts(ExpressionTree tree) {
    if (tree instanceof BinaryTree binary) {
      return List.of(binary.getLeftOperand(), binary.getRightOperand());
    }
    if (tree instanceof ParenthesizedTree brackets) {
      return List.of(brackets.getExpression());
    }
    if (tree instanceof UnaryTree unary) {
      return List.of(unary.getExpression());
    }
    if (tree instanceof ConditionalExpressionTree either) {
      return List.of(
          either.getCondition(), either.getTrueExpression(), either.getFalseExpression());
    }
    return tree instanceof TypeCastTree cast ? List.of(cast.getExpression()) : List.of();
  }
}
