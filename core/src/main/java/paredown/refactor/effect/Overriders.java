package paredown.refactor.effect;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Below;
import paredown.program.Program;

/** The methods of a project that override another, in classes with a name and without one. */
public final class Overriders {
  private final Program program;
  private final Map<TypeElement, Set<TypeElement>> below = new HashMap<>();

  public Overriders(Program program) {
    this.program = program;
  }

  /** Whether nothing can override a method: it, or its class, is final, or it is private. */
  public static boolean isFinal(ExecutableElement method) {
    return method.getModifiers().contains(Modifier.PRIVATE)
        || method.getModifiers().contains(Modifier.STATIC)
        || method.getModifiers().contains(Modifier.FINAL)
        || method.getEnclosingElement().getModifiers().contains(Modifier.FINAL)
        || method.getEnclosingElement().getKind() == ElementKind.RECORD;
  }

  /** All that override a method, itself left out. */
  public List<ExecutableElement> of(ExecutableElement method) {
    if (isFinal(method) || !(method.getEnclosingElement() instanceof TypeElement owner)) {
      return List.of();
    }
    program.requireBodiesBelow(owner, method.getSimpleName().toString());
    List<ExecutableElement> found = new ArrayList<>();
    for (TypeElement type :
        below.computeIfAbsent(owner, each -> Below.of(program, List.of(each)))) {
      for (ExecutableElement each : ElementFilter.methodsIn(type.getEnclosedElements())) {
        if (each.getSimpleName().equals(method.getSimpleName())
            && program.elements().overrides(each, method, type)) {
          found.add(each);
        }
      }
    }
    return found;
  }

  /** Whether something overrides a method. */
  public boolean isOverridden(ExecutableElement method) {
    return !of(method).isEmpty();
  }
}
