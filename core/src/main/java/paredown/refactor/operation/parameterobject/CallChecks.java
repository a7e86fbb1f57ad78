package paredown.refactor.operation.parameterobject;

import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.effect.EvaluationOrder;
import paredown.refactor.name.Sight;
import paredown.refactor.use.FixedHead;

/** Why a call cannot give an object. */
final class CallChecks {
  private final Program program;
  private final ObjectType type;
  private final CalmCalls calm;

  CallChecks(Program program, ObjectType type) {
    this.program = program;
    this.type = type;
    this.calm = new CalmCalls(program);
  }

  Optional<FixedHead.Obstacle> of(Call call) {
    String place = call.trees().place(call.path().getLeaf());
    Sight sight = new Sight(call.trees().classAround(call.path()), program);
    if (sight.hides(type.element()) || sight.hides(type.constructor())) {
      return Optional.of(
          new FixedHead.Obstacle(
              RefusalKind.HIDDEN_FROM_OUTSIDE,
              "%s cannot be seen where it is called".formatted(type.element().getSimpleName()),
              place));
    }
    if (Calls.isDoubtful(call)) {
      return Optional.of(
          new FixedHead.Obstacle(
              RefusalKind.CALL_SHAPE,
              "a class without a name gives its values to one of several constructors",
              place));
    }
    return keepsOrder(call)
        ? Optional.empty()
        : Optional.of(
            new FixedHead.Obstacle(
                RefusalKind.CALL_ORDER,
                "what a caller gives would be worked out in another order, which could show",
                place));
  }

  /** Whether what is given could be null where a number is taken, which fails there. */
  private boolean isUnboxed(Call call, int position) {
    List<? extends VariableElement> taken = call.head().element().getParameters();
    return position < taken.size()
        && taken.get(position).asType().getKind().isPrimitive()
        && program.trees().getTypeMirror(call.argument(position)).getKind() == TypeKind.DECLARED;
  }

  private boolean keepsOrder(Call call) {
    List<Integer> now = call.order(type.order());
    EvaluationOrder order = new EvaluationOrder(call.trees(), calm);
    for (int i = 0; i < now.size(); i++) {
      for (int j = 0; j < i; j++) {
        TreePath one = call.argument(now.get(j));
        TreePath other = call.argument(now.get(i));
        boolean turned = now.get(j) > now.get(i);
        boolean fails =
            isUnboxed(call, now.get(j)) && !order.isQuiet(other)
                || isUnboxed(call, now.get(i)) && !order.isQuiet(one);
        if (turned && (fails || !order.commutes(one, List.of(other)))) {
          return false;
        }
      }
    }
    return true;
  }
}
