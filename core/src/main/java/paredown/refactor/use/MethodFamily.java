package paredown.refactor.use;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Below;
import paredown.program.Program;

/**
 * A method family is the methods that dispatch together: what one overrides, what overrides it, and
 * what a class merely inherits for an interface's.
 *
 * <p>The Java Language Specification, sections 8.4.8 and 9.4.1.
 */
public final class MethodFamily {
  private final Program program;
  private final Set<ExecutableElement> members = new LinkedHashSet<>();
  private final Deque<ExecutableElement> open = new ArrayDeque<>();

  private MethodFamily(Program program) {
    this.program = program;
  }

  /** The family of a method, itself first; those that are not the project's own among them. */
  public static Set<ExecutableElement> of(Program program, ExecutableElement method) {
    MethodFamily family = new MethodFamily(program);
    family.add(method);
    while (!family.open.isEmpty()) {
      family.widen(family.open.remove());
    }
    return family.members;
  }

  private void add(ExecutableElement method) {
    if (members.add(method)) {
      open.add(method);
    }
  }

  private void widen(ExecutableElement method) {
    Set<Modifier> modifiers = method.getModifiers();
    if (modifiers.contains(Modifier.PRIVATE) || modifiers.contains(Modifier.STATIC)) {
      return;
    }
    TypeElement owner = (TypeElement) method.getEnclosingElement();
    Set<TypeElement> types = new LinkedHashSet<>();
    types.add(owner);
    if (program.declares(owner)) {
      program.requireBodiesBelow(owner, method.getSimpleName().toString());
      types.addAll(Below.of(program, List.of(owner)));
    }
    types.forEach(type -> widen(method, type));
  }

  /** Finds those that a type has, or inherits, beside a method. */
  private void widen(ExecutableElement method, TypeElement type) {
    Set<TypeElement> all = new LinkedHashSet<>(program.supertypes(type));
    all.add(type);
    for (TypeElement each : all) {
      for (ExecutableElement other : ElementFilter.methodsIn(each.getEnclosedElements())) {
        boolean together =
            other.getSimpleName().equals(method.getSimpleName())
                && (program.elements().overrides(method, other, type)
                    || program.elements().overrides(other, method, type));
        if (together) {
          add(other);
        }
      }
    }
  }
}
