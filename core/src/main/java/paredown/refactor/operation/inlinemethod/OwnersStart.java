package paredown.refactor.operation.inlinemethod;

import com.sun.source.util.TreePath;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.refactor.RefusalKind;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Between;
import paredown.refactor.flow.Shift;
import paredown.refactor.startup.StaticStart;
import paredown.refactor.use.OwnerClass;

/**
 * Calling a static method starts its class, and nobody may notice where its code does not.
 *
 * <p>The Java Language Specification, section 12.4.1.
 */
record OwnersStart(
    OwnerClass owner, OwnerClass.Method method, Body body, BodyNames names, CalmCalls calm) {

  void require(Call call, Given values, Set<RefusalKind> accepted) {
    boolean started = owner.program().isOrIsBelow(call.type(), owner.element());
    if (method.is(Modifier.STATIC) && !started && !isStartedFirst(values)) {
      StaticStart.require(
          owner,
          owner,
          method.name() + " cannot be inlined",
          accepted.contains(RefusalKind.STARTED_EARLIER));
    }
  }

  /** Whether the code itself starts the class before it does anything that could show. */
  private boolean isStartedFirst(Given values) {
    boolean alike =
        values.all().stream().allMatch(each -> each.needsVariable() || isAlikeAnyTime(each));
    return alike && names.statics().stream().anyMatch(this::startsFirst);
  }

  /** Whether a value is the same whatever a class does when it starts, and cannot fail. */
  private boolean isAlikeAnyTime(Value value) {
    return value.shift().isUntouchedBy(body.path())
        && Shift.isInert(owner.program(), calm, value.path());
  }

  private boolean startsFirst(TreePath use) {
    Element member = body.trees().element(use);
    boolean starts =
        owner.element().equals(member.getEnclosingElement())
            && !(member instanceof VariableElement field && field.getConstantValue() != null);
    if (!starts) {
      return false;
    }
    Between between = Between.of(body.trees(), body.trees().start(body.path().getLeaf()) + 1, use);
    return !between.perhaps()
        && !between.later()
        && between.code().stream().allMatch(each -> calm.effects().of(each).kinds().isEmpty());
  }
}
