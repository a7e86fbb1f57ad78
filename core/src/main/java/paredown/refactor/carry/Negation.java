package paredown.refactor.carry;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import paredown.edit.Carried;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.program.TurnedSign;
import paredown.refactor.code.Brackets;
import paredown.refactor.code.UnitTrees;

/**
 * The opposite of a condition, by De Morgan's laws: what is already said with a {@code !} loses it.
 *
 * <p>Less and greater are turned only of whole numbers: of others neither may hold.
 */
public final class Negation {
  private final UnitTrees trees;
  private final List<Piece> pieces = new ArrayList<>();

  private final Function<Tree, Piece> code;

  private Negation(UnitTrees trees, Function<Tree, Piece> code) {
    this.trees = trees;
    this.code = code;
  }

  /** The opposite of a condition, in pieces that carry what it asks. */
  public static List<Piece> of(UnitTrees trees, TreePath condition) {
    return of(
        trees, condition, tree -> Carried.range(trees.path(), trees.start(tree), trees.end(tree)));
  }

  /**
   * The opposite of a condition.
   *
   * @param code the piece that says a part of it, as it stands
   */
  public static List<Piece> of(UnitTrees trees, TreePath condition, Function<Tree, Piece> code) {
    Negation negation = new Negation(trees, code);
    negation.turn(condition, 0);
    return negation.pieces;
  }

  /** How long pieces are. */
  public static int length(List<Piece> pieces) {
    return pieces.stream()
        .mapToInt(
            each ->
                each instanceof Carried carried
                    ? carried.end() - carried.start()
                    : ((Written) each).text().length())
        .sum();
  }

  /** Writes the opposite of an expression, in a place that asks for a rank. */
  private void turn(TreePath path, int asked) {
    Tree tree = path.getLeaf();
    if (tree instanceof ParenthesizedTree inner) {
      TreePath within = new TreePath(path, inner.getExpression());
      boolean needed = TurnedSign.joins(within.getLeaf()) && opposite(within.getLeaf()) < asked;
      write(needed ? "(" : "");
      turn(within, 0);
      write(needed ? ")" : "");
    } else if (tree instanceof UnaryTree not && tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      carry(not.getExpression(), asked);
    } else if (tree instanceof BinaryTree both && TurnedSign.joins(tree)) {
      int rank = opposite(tree);
      write(rank < asked ? "(" : "");
      turn(new TreePath(path, both.getLeftOperand()), rank);
      write(between(both, rank == Brackets.OR ? "||" : "&&"));
      turn(new TreePath(path, both.getRightOperand()), rank + 1);
      write(rank < asked ? ")" : "");
    } else if (tree instanceof BinaryTree both && TurnedSign.isSure(trees.program(), path)) {
      carry(both.getLeftOperand());
      write(between(both, TurnedSign.written(TurnedSign.kind(tree))));
      carry(both.getRightOperand());
    } else if (tree instanceof LiteralTree literal) {
      write(String.valueOf(literal.getValue().equals(false)));
    } else {
      boolean brackets = Brackets.areNeededBehindCast((ExpressionTree) tree);
      write(brackets ? "!(" : "!");
      carry(tree);
      write(brackets ? ")" : "");
    }
  }

  /** How closely the opposite of a junction binds. */
  private static int opposite(Tree junction) {
    return junction.getKind() == Tree.Kind.CONDITIONAL_AND ? Brackets.OR : Brackets.AND;
  }

  /** Writes what was denied, without brackets that only the sign needed. */
  private void carry(ExpressionTree denied, int asked) {
    ExpressionTree inner =
        denied instanceof ParenthesizedTree brackets ? brackets.getExpression() : denied;
    carry(Brackets.rank(inner) < asked ? denied : inner);
  }

  private void carry(Tree tree) {
    pieces.add(code.apply(tree));
  }

  private void write(String text) {
    if (!text.isEmpty()) {
      pieces.add(Written.plain(text));
    }
  }

  /** What stands between two operands, with another sign. */
  private String between(BinaryTree both, String sign) {
    int start = trees.end(both.getLeftOperand());
    int end = trees.start(both.getRightOperand());
    int at = trees.source().codeTokenFrom(start).start();
    boolean one = both.getKind() == Tree.Kind.LESS_THAN || both.getKind() == Tree.Kind.GREATER_THAN;
    String text = trees.source().slice(start, end);
    return text.substring(0, at - start) + sign + text.substring(at - start + (one ? 1 : 2));
  }
}
