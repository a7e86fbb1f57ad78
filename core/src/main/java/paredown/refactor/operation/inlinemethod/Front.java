package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.ConstructorCall;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Between;
import paredown.refactor.flow.Shift;

/** The place in front of a call, where code that is no expression can stand. */
final class Front {
  private static final String TURNS = "the call is not reached once each time that it runs";

  private final Call call;
  private final Given values;
  private final CalmCalls calm;
  private final UnitTrees trees;

  Front(Call call, Given values, CalmCalls calm) {
    this.call = call;
    this.values = values;
    this.calm = calm;
    this.trees = call.trees();
  }

  /**
   * The statement in front of which code of the method can stand.
   *
   * @throws Refused where it can in front of none
   */
  TreePath statement() {
    TreePath statement = call.inBlock();
    if (statement == null) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "The call stands where there is no room for statements: in no block.",
          "Give its field a block first, or inline the other calls with --at.",
          call.place());
    }
    StatementTree tree = (StatementTree) statement.getLeaf();
    if (ConstructorCall.isSuper(tree) || ConstructorCall.isThis(tree)) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "The code of the method cannot stand in front of this statement: a constructor begins with it.",
          "Inline the other calls with --at, or leave the method.",
          call.place());
    }
    requireFirst(statement);
    return statement;
  }

  /**
   * Requires that nothing runs in a statement or lambda before the call, and that it runs once.
   *
   * @throws Refused where that is not so
   */
  void requireFirst(TreePath around) {
    Between between = Between.of(trees, trees.start(around.getLeaf()), call.path());
    if (!isFirst(between)) {
      boolean turns = between.perhaps() || between.repeats();
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "The code of the method cannot stand in front of this statement: %s."
              .formatted(why().orElse(turns ? TURNS : "other things run before the call")),
          turns
              ? "Let the call be a statement of its own first."
              : "Give what runs before the call to a variable first: pare extract variable.",
          call.place());
    }
  }

  /** Why the code cannot be an expression. */
  private Optional<String> why() {
    return values.all().stream()
        .filter(Value::needsVariable)
        .map(each -> each.why().orElseThrow().why())
        .findFirst();
  }

  /** Whether nothing that could show runs in a statement before the call. */
  private boolean isFirst(Between between) {
    return !between.perhaps()
        && !between.repeats()
        && !between.later()
        && !between.guarded()
        && between.code().stream().allMatch(code -> Shift.isInert(trees.program(), calm, code))
        && values.all().stream().allMatch(each -> each.shift().over(between).isEmpty());
  }
}
