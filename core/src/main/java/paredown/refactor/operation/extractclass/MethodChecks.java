package paredown.refactor.operation.extractclass;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.plan.Fluent;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.Ties;

/** What must hold of methods before they may be moved into the extracted class. */
final class MethodChecks {
  private final OwnerClass owner;
  private final Leaving leaving;

  MethodChecks(Leaving leaving) {
    this.owner = leaving.owner();
    this.leaving = leaving;
  }

  /** Refuses where a method may not leave. */
  void require() {
    List<MemberUse> along = leaving.along();
    for (OwnerClass.Method method : leaving.methods()) {
      requireMovable(method);
      along.stream()
          .filter(use -> use.key().equals(method.key()))
          .findFirst()
          .ifPresent(use -> requireSameOutside(method, use));
    }
  }

  private void requireMovable(OwnerClass.Method method) {
    String place = owner.trees().place(method.tree());
    refuseIf(method.tree().getBody() == null, RefusalKind.NO_BODY, method, place);
    refuseIf(overridesObject(method), RefusalKind.OVERRIDES, method, place);
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitSynchronized(SynchronizedTree tree, Void unused) {
        refuseIf(
            isThis(tree.getExpression()), RefusalKind.LOCKED, method, owner.trees().place(tree));
        return super.visitSynchronized(tree, null);
      }
    }.scan(method.path(), null);
  }

  private static boolean isThis(Tree tree) {
    return tree instanceof ParenthesizedTree inner
        ? isThis(inner.getExpression())
        : tree instanceof IdentifierTree name && name.getName().contentEquals("this");
  }

  /** The new class would override it as well. */
  private boolean overridesObject(OwnerClass.Method method) {
    TypeElement object = owner.program().elements().getTypeElement("java.lang.Object");
    return ElementFilter.methodsIn(object.getEnclosedElements()).stream()
        .filter(each -> each.getSimpleName().equals(method.element().getSimpleName()))
        .anyMatch(
            each -> owner.program().elements().overrides(method.element(), each, owner.element()));
  }

  /** A call that goes along does not meet the delegate any more, nor what overrides it. */
  private void requireSameOutside(OwnerClass.Method method, MemberUse call) {
    refuseIf(Ties.isOverridden(owner, method), RefusalKind.OVERRIDDEN, method, call.place());
    refuseIf(method.is(Modifier.SYNCHRONIZED), RefusalKind.LOCKED, method, call.place());
  }

  /**
   * Refuses where a method is to leave nothing behind and cannot.
   *
   * @param delegates the methods that leave a delegate all the same
   */
  void requireNoDelegates(Set<OwnerClass.Method> delegates) {
    for (OwnerClass.Method method : delegates) {
      Ties.of(owner, method)
          .ifPresent(why -> needed(method, why, owner.trees().place(method.tree())));
      if (Fluent.is(owner, method)) {
        needed(method, "it gives its own object", owner.trees().place(method.tree()));
      }
      needed(method, "a method reference names its class", place(method));
    }
  }

  /** Refuses where a method is to leave nothing behind and receives what only a delegate gives. */
  void requireNothingReceived(Set<OwnerClass.Method> receiving) {
    receiving.forEach(
        method ->
            needed(
                method,
                "that gives it what it needs of " + owner.simpleName(),
                owner.trees().place(method.tree())));
  }

  private String place(OwnerClass.Method method) {
    return leaving.staying().stream()
        .filter(use -> use.key().equals(method.key()))
        .filter(use -> use.access() == MemberUses.Access.REFERENCE)
        .map(MemberUse::place)
        .findFirst()
        .orElse(owner.trees().place(method.tree()));
  }

  /** Refuses where a caller could not see the field that holds the new object. */
  void requireCallersNear(Set<OwnerClass.Method> delegates) {
    List<MemberUse> staying = leaving.staying();
    for (OwnerClass.Method method : leaving.methods()) {
      for (MemberUse use : staying) {
        boolean asks = use.key().equals(method.key()) && !delegates.contains(method);
        if (asks && !use.isNear(owner.packageName())) {
          needed(method, "another package calls it", use.place());
        }
      }
    }
  }

  private static void needed(OwnerClass.Method method, String why, String place) {
    throw Refused.advising(
        RefusalKind.DELEGATE_NEEDED,
        "%s cannot leave its old place: %s.".formatted(OwnerClass.signature(method), why),
        "Say --delegate keep.",
        place);
  }

  private static void refuseIf(
      boolean condition, RefusalKind kind, OwnerClass.Method method, String place) {
    if (condition) {
      throw Refused.because(kind, OwnerClass.signature(method), place);
    }
  }
}
