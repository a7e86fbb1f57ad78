package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import paredown.refactor.code.Returns;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Between;
import paredown.refactor.flow.Shift;

/**
 * What a method gives where its last loop or switch gave nothing, which a variable can have from
 * the beginning.
 */
final class Preset {
  private final Body body;
  private final boolean held;
  private final CalmCalls calm;
  private final Assumptions assumptions;

  /**
   * The value at the end of a body.
   *
   * @param held whether variables hold what the call gives, which the value may name
   */
  Preset(Body body, boolean held, CalmCalls calm, Assumptions assumptions) {
    this.held = held;
    this.body = body;
    this.calm = calm;
    this.assumptions = assumptions;
  }

  /**
   * The value at the end of the method that its variable can begin with, where only its last loop
   * returns before.
   */
  Optional<TreePath> value() {
    List<TreePath> all = Branches.statements(body.path());
    int last = all.size() - 1;
    boolean found =
        last > 0
            && Breaks.canLeave(all.get(last - 1))
            && !Returns.in(all.get(last - 1)).isEmpty()
            && all.subList(0, last - 1).stream().allMatch(each -> Returns.in(each).isEmpty());
    Optional<TreePath> value = found ? of(all.get(last - 1), all.get(last)) : Optional.empty();
    return value.filter(each -> last == 1 && !held || isLiteral(each));
  }

  /**
   * What the statement behind a loop or switch returns, where that can be worked out in front of
   * it, and nobody sees that it need not be; empty where it cannot.
   */
  Optional<TreePath> of(TreePath left, TreePath end) {
    return returned(end).filter(value -> isLiteral(value) || isSteady(left, value));
  }

  private boolean isSteady(TreePath left, TreePath value) {
    UnitTrees trees = body.trees();
    Shift shift = new Shift(trees.program(), calm, value, assumptions);
    Between between = Between.of(trees, trees.start(left.getLeaf()), value);
    return shift.isOmissible() && shift.over(between).isEmpty();
  }

  private static Optional<TreePath> returned(TreePath statement) {
    return statement.getLeaf() instanceof ReturnTree tree && tree.getExpression() != null
        ? Optional.of(new TreePath(statement, tree.getExpression()))
        : Optional.empty();
  }

  private static boolean isLiteral(TreePath value) {
    Tree tree = value.getLeaf();
    return tree instanceof LiteralTree
        || tree instanceof UnaryTree sign && sign.getExpression() instanceof LiteralTree;
  }
}
