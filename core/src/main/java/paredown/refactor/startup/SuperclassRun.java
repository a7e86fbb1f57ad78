package paredown.refactor.startup;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.effect.Overriders;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.OwnerTouches;

/**
 * What the constructors and initialisers of a superclass come to call of an object whose own are
 * still to run: the methods that the class, or one below it, has in place of those that they call.
 */
final class SuperclassRun {
  private final Leaving leaving;
  private final OwnerClass owner;
  private final Program program;
  private final Overriders overriders;

  SuperclassRun(Leaving leaving) {
    this.leaving = leaving;
    this.owner = leaving.owner();
    this.program = owner.program();
    this.overriders = new Overriders(program);
  }

  /**
   * Where code that a superclass runs uses what leaves, {@code path:line}; empty where none does.
   *
   * @return empty text where it hands its object out, so that anything could use it
   */
  Optional<String> use(OwnerClass superclass) {
    Deque<ExecutableElement> open = new ArrayDeque<>();
    for (var code : EarlyRun.code(superclass).toList()) {
      for (OwnerTouches.Touch touch : OwnerTouches.in(superclass, code)) {
        if (touch.called() == null) {
          return Optional.of("");
        }
        open.addAll(running(touch.called()));
      }
    }
    Set<ExecutableElement> seen = new HashSet<>();
    while (!open.isEmpty()) {
      ExecutableElement next = open.pop();
      if (!seen.add(next)) {
        continue;
      }
      OwnerClass type = OwnerClass.of(program, (TypeElement) next.getEnclosingElement());
      OwnerClass.Method method = type == null ? null : type.method(next).orElse(null);
      if (method == null || method.tree().getBody() == null) {
        continue;
      }
      Optional<MemberUse> here =
          leaving.uses().stream()
              .filter(
                  use -> use.file().equals(type.trees().path()) && type.holds(method.range(), use))
              .filter(
                  use -> !use.trees().element(use.path()).getModifiers().contains(Modifier.STATIC))
              .findFirst();
      if (here.isPresent()) {
        return here.map(MemberUse::place);
      }
      if (leaving.methodsOfObject().stream().anyMatch(each -> each.element().equals(next))) {
        return Optional.of(type.trees().place(method.tree()));
      }
      for (OwnerTouches.Touch touch : OwnerTouches.in(type, method.path())) {
        if (touch.called() == null) {
          return Optional.of("");
        }
        open.addAll(running(touch.called()));
      }
    }
    return Optional.empty();
  }

  /** A method with all that could run in its place for an object of the owner or below. */
  private List<ExecutableElement> running(ExecutableElement method) {
    List<ExecutableElement> all = new ArrayList<>(List.of(method));
    for (ExecutableElement other : overriders.of(method)) {
      TypeElement type = (TypeElement) other.getEnclosingElement();
      boolean related =
          type.equals(owner.element())
              || program.supertypes(type).contains(owner.element())
              || program.supertypes(owner.element()).contains(type);
      if (related) {
        all.add(other);
      }
    }
    return all;
  }
}
