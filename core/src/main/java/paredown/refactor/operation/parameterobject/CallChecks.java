package paredown.refactor.operation.parameterobject;

import java.util.List;
import java.util.Optional;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.effect.EvaluationOrder;
import paredown.refactor.name.Sight;

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

  Optional<HeadChecks.Obstacle> of(Call call) {
    String place = call.trees().place(call.path().getLeaf());
    Sight sight = new Sight(call.trees().classAround(call.path()), program.elements());
    if (sight.hides(type.element()) || sight.hides(type.constructor())) {
      return Optional.of(
          new HeadChecks.Obstacle(
              RefusalKind.HIDDEN_FROM_OUTSIDE,
              "%s cannot be seen where it is called".formatted(type.element().getSimpleName()),
              place));
    }
    if (Calls.isDoubtful(call)) {
      return Optional.of(
          new HeadChecks.Obstacle(
              RefusalKind.CALL_SHAPE,
              "a class without a name gives its values to one of several constructors",
              place));
    }
    return keepsOrder(call)
        ? Optional.empty()
        : Optional.of(
            new HeadChecks.Obstacle(
                RefusalKind.CALL_ORDER,
                "what a caller gives would be worked out in another order, which could show",
                place));
  }

  private boolean keepsOrder(Call call) {
    List<Integer> now = call.order(type.order());
    EvaluationOrder order = new EvaluationOrder(call.trees(), calm);
    for (int i = 0; i < now.size(); i++) {
      for (int j = 0; j < i; j++) {
        boolean turned = now.get(j) > now.get(i);
        if (turned
            && !order.commutes(call.argument(now.get(j)), List.of(call.argument(now.get(i))))) {
          return false;
        }
      }
    }
    return true;
  }
}
