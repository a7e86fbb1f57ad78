package paredown.facts;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.Name;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;

/** What one type has above it. */
final class Inherited {
  private final Program program;
  private final TypeElement type;
  private final Set<TypeElement> supertypes;
  private final Map<Name, List<ExecutableElement>> methods = new HashMap<>();

  Inherited(Program program, TypeElement type) {
    this.program = program;
    this.type = type;
    this.supertypes = program.supertypes(type);
    for (TypeElement each : supertypes) {
      for (ExecutableElement method : ElementFilter.methodsIn(each.getEnclosedElements())) {
        methods.computeIfAbsent(method.getSimpleName(), name -> new ArrayList<>()).add(method);
      }
    }
  }

  /** The names of all classes and interfaces above it. */
  Set<String> names() {
    Set<String> names = new LinkedHashSet<>();
    supertypes.forEach(each -> names.add(each.getQualifiedName().toString()));
    return names;
  }

  /** The class right above it; null where it has none. */
  Element superclass() {
    return program.types().asElement(type.getSuperclass());
  }

  /** Whether a method of it overrides or implements one from above. */
  boolean isOverriddenBy(ExecutableElement method) {
    return method.getKind() == ElementKind.METHOD
        && !method.getModifiers().contains(Modifier.STATIC)
        && !method.getModifiers().contains(Modifier.PRIVATE)
        && methods.getOrDefault(method.getSimpleName(), List.of()).stream()
            .anyMatch(each -> program.elements().overrides(method, each, type));
  }
}
