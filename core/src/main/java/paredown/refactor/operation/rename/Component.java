package paredown.refactor.operation.rename;

import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;
import paredown.refactor.use.MethodFamily;

/**
 * A component of a record has one name with its accessor and with the parameter that sets it.
 *
 * <p>The Java Language Specification, section 8.10.
 */
final class Component {
  private Component() {}

  /** Whether a field is that of a component. */
  static boolean isField(Element element) {
    return element.getKind() == ElementKind.FIELD
        && element.getEnclosingElement().getKind() == ElementKind.RECORD
        && !element.getModifiers().contains(Modifier.STATIC);
  }

  /** Whether a method answers for a component. */
  static boolean isAccessor(Program program, Element element) {
    return element instanceof ExecutableElement method
        && method.getEnclosingElement().getKind() == ElementKind.RECORD
        && program.elements().recordComponentFor(method) != null;
  }

  /** Whether a parameter sets a component, so that its name is not its own. */
  static boolean isParameter(Element element) {
    return element.getKind() == ElementKind.PARAMETER
        && element.getEnclosingElement() instanceof ExecutableElement constructor
        && constructor.getEnclosingElement() instanceof TypeElement type
        && isCanonical(type, constructor);
  }

  private static boolean isCanonical(TypeElement type, ExecutableElement constructor) {
    return constructor.getKind() == ElementKind.CONSTRUCTOR
        && type.getKind() == ElementKind.RECORD
        && constructor.getParameters().stream()
            .map(each -> each.getSimpleName().toString() + each.asType())
            .toList()
            .equals(
                type.getRecordComponents().stream()
                    .map(each -> each.getSimpleName().toString() + each.asType())
                    .toList());
  }

  /** What is renamed with a component's field; nothing where it is none. */
  static List<Element> of(Program program, Element field) {
    if (!isField(field)) {
      return List.of();
    }
    List<Element> with = new ArrayList<>();
    TypeElement type = (TypeElement) field.getEnclosingElement();
    for (ExecutableElement method : ElementFilter.methodsIn(type.getEnclosedElements())) {
      if (method.getSimpleName().equals(field.getSimpleName()) && isAccessor(program, method)) {
        with.addAll(MethodFamily.of(program, method));
      }
    }
    ElementFilter.constructorsIn(type.getEnclosedElements()).stream()
        .filter(constructor -> isCanonical(type, constructor))
        .flatMap(constructor -> constructor.getParameters().stream())
        .filter(parameter -> parameter.getSimpleName().equals(field.getSimpleName()))
        .forEach(with::add);
    return with;
  }
}
