package paredown.refactor.operation.movemethod;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.util.Types;
import paredown.edit.Assumption;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.StandAlone;
import paredown.refactor.effect.EvaluationOrder;
import paredown.refactor.nulls.NonNull;
import paredown.refactor.nulls.NullDoubt;
import paredown.refactor.startup.Starts;
import paredown.refactor.startup.StaticStart;

/** What must hold before a call of a method that moves can ask elsewhere. */
final class CallChecks {
  private final MovedCall call;
  private final Moving moving;
  private final EvaluationOrder order;

  CallChecks(MovedCall call) {
    this.call = call;
    this.moving = call.moving();
    this.order = call.order();
  }

  void require() {
    if (!call.tree().getTypeArguments().isEmpty()) {
      throw call.refused(RefusalKind.CALL_SHAPE, "a caller gives type arguments");
    }
    call.object().ifPresent(this::requireUsable);
    if (moving.through() instanceof Through.Parameter parameter) {
      requireReceiver(call.arguments().get(parameter.index()));
    }
    if (moving.through() instanceof Through.Around) {
      requireOwnAround();
    }
    requireOrder();
  }

  private void requireUsable(TreePath object) {
    if (object.getLeaf() instanceof IdentifierTree name && name.getName().contentEquals("super")) {
      throw call.refused(RefusalKind.SUPER_CALL, "a subclass asks its superclass for it");
    }
    if (call.isType(object)) {
      return;
    }
    boolean keeps = moving.through() instanceof Through.Field;
    int times = moving.given().isOwner() ? 1 : moving.given().values().size();
    if (!keeps && times == 0 && !order.isOmissible(object)) {
      throw call.refused(
          RefusalKind.CALL_ORDER,
          order.canFail(object)
              ? "a caller's expression that could fail would be lost"
              : "a caller's expression would be lost");
    }
    if (!keeps && times == 0 && !moving.acceptsStart()) {
      requireQuietStart(object);
    }
    if (!keeps && times > 1 && !order.isRepeatable(object)) {
      throw call.refused(RefusalKind.CALL_ORDER, "it would be evaluated twice");
    }
    if (keeps && times > 0 && !order.isRepeatable(object)) {
      throw call.refused(RefusalKind.CALL_ORDER, "a caller's expression would be evaluated twice");
    }
    boolean asked =
        keeps || (moving.given().isOwner() ? moving.given().isOwnerAskedAtOnce() : times > 0);
    boolean isStatic = moving.method().is(Modifier.STATIC);
    if (!asked && !isStatic && !moving.acceptsNull() && !NonNull.is(moving.program(), object)) {
      if (NullDoubt.isStated(moving.program(), object)) {
        throw call.maybeNull(
            "asked of null here, which would no longer show.",
            "; or keep its old place with --delegate keep");
      }
      assumeThere(object);
    }
    boolean failsFirst =
        !isStatic
            && !call.arguments().isEmpty()
            && !NonNull.is(moving.program(), object)
            && !call.arguments().stream().allMatch(order::isFixedOrPlain);
    if (failsFirst && (keeps || times > 0)) {
      moving
          .owner()
          .assumptions()
          .add(
              Assumption.Kind.FAILURE,
              "where the object that is asked is null, it shows nowhere that the arguments are not"
                  + " worked out any more",
              call.use().place());
    }
  }

  /** Classes that only the lost object would have started must not show that. */
  private void requireQuietStart(TreePath object) {
    Starts.in(moving.program(), object)
        .forEach(
            (type, sound) -> {
              if (sound == StaticStart.Sound.LOUD) {
                throw call.refused(
                    RefusalKind.STARTED_EARLIER,
                    "a caller's expression starts %s, which shows".formatted(type.getSimpleName()));
              }
              moving
                  .owner()
                  .assumptions()
                  .add(
                      Assumption.Kind.START,
                      "it shows nowhere when the static parts of %s are initialised"
                          .formatted(type.getSimpleName()),
                      call.use().place());
            });
  }

  /** No code seen leaves null there, so that it is assumed to be an object. */
  private void assumeThere(TreePath expression) {
    moving
        .owner()
        .assumptions()
        .add(
            Assumption.Kind.NULL,
            call.trees()
                    .source()
                    .slice(
                        call.trees().start(expression.getLeaf()),
                        call.trees().end(expression.getLeaf()))
                + " is never null",
            call.use().place());
  }

  private void requireOrder() {
    List<TreePath> arguments = call.arguments();
    List<TreePath> before = new ArrayList<>();
    call.object().filter(each -> !call.isType(each)).ifPresent(before::add);
    boolean moved = true;
    if (moving.through() instanceof Through.Parameter parameter) {
      before.addAll(arguments.subList(0, parameter.index()));
      moved = order.commutes(arguments.get(parameter.index()), before);
    }
    if (moving.through() instanceof Through.Field field) {
      moved =
          field.variable().getModifiers().contains(Modifier.FINAL)
              || arguments.stream().allMatch(order::isQuiet);
    }
    boolean values = !moving.given().values().isEmpty() && !moving.given().isOwner();
    if (values && call.object().isPresent() && !call.isType(call.object().get())) {
      moved &= order.commutes(call.object().get(), arguments);
    }
    if (!moved) {
      throw call.refused(
          RefusalKind.CALL_ORDER, "a caller's expressions would be evaluated in another order");
    }
  }

  private void requireReceiver(TreePath argument) {
    Types types = moving.program().types();
    boolean usable =
        StandAlone.is(moving.program(), argument)
            && types.isSubtype(
                types.erasure(moving.program().trees().getTypeMirror(argument)),
                types.erasure(moving.target().element().asType()));
    if (!usable) {
      throw call.refused(RefusalKind.CALL_SHAPE, "a caller gives what cannot be asked");
    }
    if (!moving.targetThere().always() && !NonNull.is(moving.program(), argument)) {
      if (NullDoubt.isStated(moving.program(), argument)) {
        throw call.maybeNull("given null here, which would fail before it is looked at.", "");
      }
      assumeThere(argument);
    }
  }

  /** The object around another's is not to be had from outside. */
  private void requireOwnAround() {
    boolean own =
        call.object().map(each -> each.getLeaf().toString().equals("this")).orElse(true)
            && isAroundSeen();
    if (!own) {
      throw call.refused(RefusalKind.CALL_SHAPE, "the object around another one cannot be asked");
    }
  }

  private boolean isAroundSeen() {
    for (Element at = call.around(); at != null; at = at.getEnclosingElement()) {
      if (at.equals(moving.owner().element())) {
        return true;
      }
    }
    return false;
  }
}
