package paredown.refactor.use;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import paredown.refactor.use.MemberUses.MemberUse;

/**
 * Tells which methods of a class come to use members that leave it, themselves or through others.
 */
public record Reach(Leaving leaving) {

  public boolean uses(OwnerTouches.Touch touch) {
    return uses(touch.called());
  }

  /** Whether a method, or one that it calls in turn, uses what leaves, or hands its object out. */
  public boolean uses(ExecutableElement start) {
    List<MemberUse> uses = leaving.usesOfFields();
    Deque<ExecutableElement> open = new ArrayDeque<>(List.of(start));
    Set<ExecutableElement> seen = new HashSet<>();
    while (!open.isEmpty()) {
      ExecutableElement next = open.pop();
      if (!seen.add(next)) {
        continue;
      }
      OwnerClass.Method method = leaving.owner().method(next).orElse(null);
      if (method == null) {
        if (!isPlatform(next)) {
          return true;
        }
        continue;
      }
      boolean here = uses.stream().anyMatch(use -> leaving.owner().holds(method.range(), use));
      if (here || leaving.methodsOfObject().contains(method)) {
        return true;
      }
      for (OwnerTouches.Touch touch : OwnerTouches.in(leaving.owner(), method.path())) {
        if (touch.called() == null) {
          return true;
        }
        open.push(touch.called());
      }
    }
    return false;
  }

  /** An inherited method could call back what the owner overrides, but for those of Object. */
  private static boolean isPlatform(ExecutableElement method) {
    return ((TypeElement) method.getEnclosingElement())
        .getQualifiedName()
        .contentEquals("java.lang.Object");
  }
}
