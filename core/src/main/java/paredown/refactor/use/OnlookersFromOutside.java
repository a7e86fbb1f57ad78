package paredown.refactor.use;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.program.SourceIndex;

/** Who could look at the members of a class without naming any: stored objects, and reflection. */
public final class OnlookersFromOutside {
  /** Words that go through the members of a class. */
  private static final List<String> ENUMERATING =
      List.of(
          "getDeclaredFields",
          "getDeclaredMethods",
          "getDeclaredConstructors",
          "getDeclaredClasses",
          "getNestMembers",
          "getPermittedSubclasses",
          "getFields",
          "getMethods",
          "getConstructors",
          "getRecordComponents",
          "getBeanInfo",
          "reflectionEquals",
          "reflectionHashCode",
          "reflectionToString",
          "reflectionCompare");

  private OnlookersFromOutside() {}

  /** Notes what is assumed of them where members of a class come or go. */
  public static void assume(OwnerClass type, List<String> members) {
    Program program = type.program();
    SourceIndex index = program.sources().index();
    Set<String> enumerating = new TreeSet<>(index.filesWith(ENUMERATING));
    enumerating.removeIf(file -> !asksClasses(program.sources().text(file).text()));
    if (!enumerating.isEmpty()) {
      type.assumptions()
          .add(
              Assumption.Kind.ENUMERATION,
              "nobody goes through the members of %s by reflection".formatted(type.simpleName()),
              enumerating.iterator().next());
    }
    if (!members.isEmpty() && hasDefaultVersion(type)) {
      type.assumptions()
          .add(
              Assumption.Kind.VERSION,
              "no stored object depends on the default serialVersionUID of " + type.simpleName(),
              type.trees().place(type.tree()));
    }
  }

  /** Other things than classes have fields and methods to go through. */
  private static boolean asksClasses(String text) {
    return text.contains("Class") || text.contains(".class") || text.contains("reflection");
  }

  /** Whether a class is serializable, with a version that the compiler makes of its members. */
  private static boolean hasDefaultVersion(OwnerClass type) {
    boolean stored =
        type.element().getKind() == ElementKind.CLASS && type.isA("java.io.Serializable");
    return stored
        && ElementFilter.fieldsIn(type.element().getEnclosedElements()).stream()
            .filter(field -> field.getModifiers().contains(Modifier.STATIC))
            .map(VariableElement::getSimpleName)
            .noneMatch(name -> name.contentEquals("serialVersionUID"));
  }
}
