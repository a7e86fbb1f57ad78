package paredown.refactor.alike;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.function.BiPredicate;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.code.UnitTrees;

/**
 * Two conditions of which one holds just where the other does not: one of them turned round by the
 * laws of De Morgan, sign by sign. Numbers with a point are smaller, equal, larger or none of it,
 * so that the opposite of {@code <} is not {@code >=} for them.
 */
final class Opposite {
  private static final Map<Tree.Kind, Tree.Kind> SIGNS =
      Map.of(
          Tree.Kind.EQUAL_TO, Tree.Kind.NOT_EQUAL_TO,
          Tree.Kind.NOT_EQUAL_TO, Tree.Kind.EQUAL_TO,
          Tree.Kind.CONDITIONAL_AND, Tree.Kind.CONDITIONAL_OR,
          Tree.Kind.CONDITIONAL_OR, Tree.Kind.CONDITIONAL_AND,
          Tree.Kind.LESS_THAN, Tree.Kind.GREATER_THAN_EQUAL,
          Tree.Kind.GREATER_THAN_EQUAL, Tree.Kind.LESS_THAN,
          Tree.Kind.GREATER_THAN, Tree.Kind.LESS_THAN_EQUAL,
          Tree.Kind.LESS_THAN_EQUAL, Tree.Kind.GREATER_THAN);

  private static final Set<TypeKind> WHOLE =
      EnumSet.of(TypeKind.BYTE, TypeKind.SHORT, TypeKind.CHAR, TypeKind.INT, TypeKind.LONG);

  private final UnitTrees others;
  private final UnitTrees trees;
  private final BiPredicate<Tree, Tree> same;

  /**
   * A comparison of conditions.
   *
   * @param others the file of the first of two
   * @param trees the file of the second
   * @param same whether two expressions say the same
   */
  Opposite(UnitTrees others, UnitTrees trees, BiPredicate<Tree, Tree> same) {
    this.others = others;
    this.trees = trees;
    this.same = same;
  }

  /** Whether an expression could say the opposite of another. */
  static boolean mayBe(Tree one, Tree other) {
    boolean denied = isDenied(one) != isDenied(other);
    Tree.Kind kind = core(one).getKind();
    Tree.Kind wanted = denied ? kind : SIGNS.get(kind);
    return SIGNS.containsKey(kind) && core(other).getKind() == wanted;
  }

  private static boolean isDenied(Tree tree) {
    return tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT
        && !isDenied(bare(((UnaryTree) tree).getExpression()));
  }

  /** What is left of an expression without the denials in front of it. */
  private static Tree core(Tree tree) {
    return tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT
        ? core(bare(((UnaryTree) tree).getExpression()))
        : tree;
  }

  private static Tree bare(Tree tree) {
    return tree instanceof ParenthesizedTree within ? bare(within.getExpression()) : tree;
  }

  private static TreePath bare(TreePath path) {
    return path.getLeaf() instanceof ParenthesizedTree within
        ? bare(new TreePath(path, within.getExpression()))
        : path;
  }

  /** Whether the one says the opposite of the other. */
  boolean says(TreePath first, TreePath second) {
    TreePath one = bare(first);
    TreePath two = bare(second);
    if (one.getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT
        && two.getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      return says(denied(one), denied(two));
    }
    if (one.getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      return same.test(bare(denied(one)).getLeaf(), two.getLeaf());
    }
    if (two.getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      return same.test(one.getLeaf(), bare(denied(two)).getLeaf());
    }
    if (!(one.getLeaf() instanceof BinaryTree here)
        || !(two.getLeaf() instanceof BinaryTree there)
        || there.getKind() != SIGNS.get(here.getKind())) {
      return false;
    }
    return switch (here.getKind()) {
      case CONDITIONAL_AND, CONDITIONAL_OR ->
          says(new TreePath(one, here.getLeftOperand()), new TreePath(two, there.getLeftOperand()))
              && says(
                  new TreePath(one, here.getRightOperand()),
                  new TreePath(two, there.getRightOperand()));
      case EQUAL_TO, NOT_EQUAL_TO -> areSame(here, there);
      default ->
          isOfWholeNumbers(others, one) && isOfWholeNumbers(trees, two) && areSame(here, there);
    };
  }

  private static TreePath denied(TreePath path) {
    return new TreePath(path, ((UnaryTree) path.getLeaf()).getExpression());
  }

  private boolean areSame(BinaryTree here, BinaryTree there) {
    return same.test(bare(here.getLeftOperand()), bare(there.getLeftOperand()))
        && same.test(bare(here.getRightOperand()), bare(there.getRightOperand()));
  }

  private static boolean isOfWholeNumbers(UnitTrees file, TreePath comparison) {
    BinaryTree tree = (BinaryTree) comparison.getLeaf();
    return isWhole(file, comparison, tree.getLeftOperand())
        && isWhole(file, comparison, tree.getRightOperand());
  }

  private static boolean isWhole(UnitTrees file, TreePath comparison, ExpressionTree operand) {
    TypeMirror type = file.program().trees().getTypeMirror(new TreePath(comparison, operand));
    if (type instanceof DeclaredType boxed) {
      try {
        type = file.program().types().unboxedType(boxed);
      } catch (IllegalArgumentException e) {
        return false;
      }
    }
    return type != null && WHOLE.contains(type.getKind());
  }
}
