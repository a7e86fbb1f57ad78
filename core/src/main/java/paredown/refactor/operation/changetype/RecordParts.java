package paredown.refactor.operation.changetype;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;
import paredown.refactor.use.MethodFamily;

/** What a record makes of one of its components: a field, a method, a parameter. */
final class RecordParts {
  private final Program program;
  private final VariableElement field;
  private final TypeElement type;

  RecordParts(Program program, VariableElement field) {
    this.program = program;
    this.field = field;
    this.type = (TypeElement) field.getEnclosingElement();
  }

  /** The field of the record's component that an element belongs to; empty where it is none. */
  static Optional<VariableElement> component(Program program, Element element) {
    Element around = element.getEnclosingElement();
    boolean constructor = around.getKind() == ElementKind.CONSTRUCTOR;
    Element home = constructor ? around.getEnclosingElement() : around;
    if (home.getKind() != ElementKind.RECORD || element.getModifiers().contains(Modifier.STATIC)) {
      return Optional.empty();
    }
    boolean part =
        constructor
            ? isCanonical(program, (ExecutableElement) around)
            : !(element instanceof ExecutableElement method) || method.getParameters().isEmpty();
    return ElementFilter.fieldsIn(home.getEnclosedElements()).stream()
        .filter(each -> part && each.getSimpleName().equals(element.getSimpleName()))
        .filter(each -> !each.getModifiers().contains(Modifier.STATIC))
        .findFirst();
  }

  private static boolean isCanonical(Program program, ExecutableElement constructor) {
    TypeElement type = (TypeElement) constructor.getEnclosingElement();
    List<? extends Element> components = type.getRecordComponents();
    boolean same = constructor.getParameters().size() == components.size();
    for (int i = 0; same && i < components.size(); i++) {
      same =
          program
              .types()
              .isSameType(
                  program.types().erasure(components.get(i).asType()),
                  program.types().erasure(constructor.getParameters().get(i).asType()));
    }
    return same;
  }

  /** The method that gives it, where others dispatch with that; empty where none does. */
  Optional<ExecutableElement> family() {
    return accessors().filter(each -> MethodFamily.of(program, each).size() > 1).findFirst();
  }

  private Stream<ExecutableElement> accessors() {
    return ElementFilter.methodsIn(type.getEnclosedElements()).stream()
        .filter(each -> each.getSimpleName().equals(field.getSimpleName()))
        .filter(each -> each.getParameters().isEmpty());
  }

  /** The field of a component, what gives it, and the parameter that it is made of. */
  Map<Element, Holders.Holder> with(Holders.Holder holder) {
    Map<Element, Holders.Holder> found = new LinkedHashMap<>();
    found.put(field, holder);
    accessors().forEach(each -> found.put(each, ofComponent(each, holder)));
    ElementFilter.constructorsIn(type.getEnclosedElements()).stream()
        .filter(each -> isCanonical(program, each))
        .flatMap(each -> each.getParameters().stream())
        .filter(each -> each.getSimpleName().equals(field.getSimpleName()))
        .forEach(each -> found.put(each, ofComponent(each, holder)));
    return found;
  }

  /** What says its type itself, or has it by the head of the record. */
  private Holders.Holder ofComponent(Element element, Holders.Holder component) {
    TreePath path = program.declaration(element);
    Tree tree = path == null ? null : path.getLeaf();
    Tree type =
        tree instanceof MethodTree method
            ? method.getReturnType()
            : tree instanceof VariableTree variable ? variable.getType() : null;
    boolean own = type != null && component.trees().end(type) >= 0;
    boolean head =
        own && component.trees().start(type) == component.trees().start(component.type());
    return own && !head
        ? new Holders.Holder(element, component.trees(), path, type)
        : new Holders.Holder(element, component.trees(), component.declaration(), null);
  }
}
