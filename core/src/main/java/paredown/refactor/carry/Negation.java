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
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Carried;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.refactor.code.Brackets;
import paredown.refactor.code.UnitTrees;

/**
 * The opposite of a condition, by De Morgan's laws: what is already said with a {@code !} loses it.
 *
 * <p>Less and greater are turned only of whole numbers: of others neither may hold.
 */
public final class Negation {
  private static final Map<Tree.Kind, String> OPPOSITE =
      Map.of(
          Tree.Kind.EQUAL_TO, "!=",
          Tree.Kind.NOT_EQUAL_TO, "==",
          Tree.Kind.LESS_THAN, ">=",
          Tree.Kind.GREATER_THAN_EQUAL, "<",
          Tree.Kind.GREATER_THAN, "<=",
          Tree.Kind.LESS_THAN_EQUAL, ">");
  private static final Set<Tree.Kind> EQUALITIES =
      Set.of(Tree.Kind.EQUAL_TO, Tree.Kind.NOT_EQUAL_TO);
  private static final Set<TypeKind> WHOLE =
      Set.of(TypeKind.BYTE, TypeKind.SHORT, TypeKind.CHAR, TypeKind.INT, TypeKind.LONG);

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
      boolean needed = isJunction(within.getLeaf()) && opposite(within.getLeaf()) < asked;
      write(needed ? "(" : "");
      turn(within, 0);
      write(needed ? ")" : "");
    } else if (tree instanceof UnaryTree not && tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      carry(not.getExpression(), asked);
    } else if (tree instanceof BinaryTree both && isJunction(tree)) {
      int rank = opposite(tree);
      write(rank < asked ? "(" : "");
      turn(new TreePath(path, both.getLeftOperand()), rank);
      write(between(both, rank == Brackets.OR ? "||" : "&&"));
      turn(new TreePath(path, both.getRightOperand()), rank + 1);
      write(rank < asked ? ")" : "");
    } else if (tree instanceof BinaryTree both && isTurnable(path, both)) {
      carry(both.getLeftOperand());
      write(between(both, OPPOSITE.get(tree.getKind())));
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

  private static boolean isJunction(Tree tree) {
    return tree.getKind() == Tree.Kind.CONDITIONAL_AND
        || tree.getKind() == Tree.Kind.CONDITIONAL_OR;
  }

  /** How closely the opposite of a junction binds. */
  private static int opposite(Tree junction) {
    return junction.getKind() == Tree.Kind.CONDITIONAL_AND ? Brackets.OR : Brackets.AND;
  }

  private boolean isTurnable(TreePath path, BinaryTree both) {
    return EQUALITIES.contains(both.getKind())
        || OPPOSITE.containsKey(both.getKind())
            && isWhole(path, both.getLeftOperand())
            && isWhole(path, both.getRightOperand());
  }

  private boolean isWhole(TreePath path, Tree operand) {
    TypeMirror type = trees.program().trees().getTypeMirror(new TreePath(path, operand));
    return type != null && WHOLE.contains(type.getKind());
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
