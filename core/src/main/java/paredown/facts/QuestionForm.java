package paredown.facts;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import java.util.function.UnaryOperator;
import paredown.program.TurnedSign;

/**
 * What a condition asks, whether it is asked straight or for the opposite: the negation goes inward
 * by the laws of De Morgan, and of the two answers the one with fewer denials stands for both.
 */
final class QuestionForm {
  private final UnaryOperator<String> named;

  private QuestionForm(UnaryOperator<String> named) {
    this.named = named;
  }

  /**
   * The form of a condition.
   *
   * @param named what stands for the names in the text of one of its parts
   */
  static String of(ExpressionTree condition, UnaryOperator<String> named) {
    QuestionForm form = new QuestionForm(named);
    String straight = form.of(condition, false);
    String turned = form.of(condition, true);
    long more = denials(straight) - denials(turned);
    return more < 0 || more == 0 && straight.compareTo(turned) < 0 ? straight : turned;
  }

  private static long denials(String text) {
    return text.chars().filter(sign -> sign == '!').count();
  }

  private String of(ExpressionTree tree, boolean denied) {
    if (tree instanceof ParenthesizedTree within) {
      return of(within.getExpression(), denied);
    }
    if (tree.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      return of(((UnaryTree) tree).getExpression(), !denied);
    }
    if (!TurnedSign.has(tree)) {
      return (denied ? "!" : "") + named.apply(tree.toString());
    }
    BinaryTree both = (BinaryTree) tree;
    boolean joins = TurnedSign.joins(tree);
    String said = TurnedSign.written(denied ? TurnedSign.kind(tree) : tree.getKind());
    return "(%s %s %s)"
        .formatted(
            of(both.getLeftOperand(), joins && denied),
            said,
            of(both.getRightOperand(), joins && denied));
  }
}
