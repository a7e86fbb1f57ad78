package paredown.refactor.alike;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.Tree;
import java.util.Map;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;

/** Two comparisons of which one says {@code ==} and the other {@code !=}. */
final class Opposite {
  private static final Map<Tree.Kind, Tree.Kind> KINDS =
      Map.of(
          Tree.Kind.EQUAL_TO, Tree.Kind.NOT_EQUAL_TO,
          Tree.Kind.NOT_EQUAL_TO, Tree.Kind.EQUAL_TO);

  private Opposite() {}

  /** Whether an expression could say the opposite of another. */
  static boolean mayBe(Tree one, Tree other) {
    return other.getKind() == KINDS.get(one.getKind());
  }

  /**
   * Where the sign of the first stands, which the second turns round.
   *
   * @return -1 where neither is such a comparison, or where both say the same, or the signs do not
   *     stand at the same place between the operands
   */
  static int sign(UnitTrees others, Part other, UnitTrees trees, Part part) {
    if (!part.isExpression()
        || !other.isExpression()
        || !mayBe(other.first().getLeaf(), part.first().getLeaf())) {
      return -1;
    }
    int one = signOf(others, (BinaryTree) other.first().getLeaf());
    int two = signOf(trees, (BinaryTree) part.first().getLeaf());
    boolean same = codeTokens(others, other.start(), one) == codeTokens(trees, part.start(), two);
    return same ? one : -1;
  }

  private static int signOf(UnitTrees trees, BinaryTree comparison) {
    return trees.source().codeTokenFrom(trees.end(comparison.getLeftOperand())).start();
  }

  private static long codeTokens(UnitTrees trees, int start, int end) {
    return trees.source().tokens(start, end).stream()
        .filter(token -> !token.kind().isComment())
        .count();
  }
}
