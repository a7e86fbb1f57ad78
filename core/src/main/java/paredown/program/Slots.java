package paredown.program;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.ExecutableType;
import javax.lang.model.util.ElementFilter;

/**
 * The slots of a class are the methods that it declares or inherits, each with the declaration that
 * runs where an object of the class is asked for it: its own, one of a superclass, which may
 * implement an interface's for it, or an interface's default.
 *
 * <p>The Java Language Specification, sections 8.4.8, 9.4.1 and 15.12.4.4.
 */
public final class Slots {
  private final Program program;
  private final TypeElement type;
  private final List<ExecutableElement> ofClasses = new ArrayList<>();
  private final List<ExecutableElement> ofInterfaces = new ArrayList<>();

  private Slots(Program program, TypeElement type, Set<String> names) {
    this.program = program;
    this.type = type;
    for (TypeElement at = type; at != null; at = superclass(at)) {
      List<ExecutableElement> into = at.getKind().isInterface() ? ofInterfaces : ofClasses;
      collect(at, names, into);
    }
    for (TypeElement above : program.supertypes(type)) {
      if (above.getKind().isInterface()) {
        collect(above, names, ofInterfaces);
      }
    }
  }

  /**
   * What runs for the slots of a type, by keys.
   *
   * @param names the simple names of the methods that are of interest
   * @return for each slot the key of what runs; several keys, joined by {@code " | "}, where the
   *     type inherits more than one and does not compile
   */
  public static Map<String, String> of(Program program, TypeElement type, Set<String> names) {
    Slots slots = new Slots(program, type, names);
    Map<String, String> found = new TreeMap<>();
    for (List<ExecutableElement> methods : List.of(slots.ofClasses, slots.ofInterfaces)) {
      for (ExecutableElement slot : methods) {
        if (isSlot(slot, type)) {
          found.putIfAbsent(program.symbols().key(slot), slots.winner(slot));
        }
      }
    }
    return found;
  }

  private static void collect(
      TypeElement type, Set<String> names, List<ExecutableElement> methods) {
    ElementFilter.methodsIn(type.getEnclosedElements()).stream()
        .filter(method -> names.contains(method.getSimpleName().toString()))
        .forEach(methods::add);
  }

  private TypeElement superclass(TypeElement at) {
    return program.types().asElement(at.getSuperclass()) instanceof TypeElement above
        ? above
        : null;
  }

  private static boolean isSlot(ExecutableElement method, TypeElement type) {
    Set<Modifier> modifiers = method.getModifiers();
    boolean own = method.getEnclosingElement().equals(type);
    return own || !modifiers.contains(Modifier.PRIVATE) && !modifiers.contains(Modifier.STATIC);
  }

  private String winner(ExecutableElement slot) {
    for (ExecutableElement method : ofClasses) {
      if (method.equals(slot) || takesOver(method, slot)) {
        return program.symbols().key(method);
      }
    }
    List<ExecutableElement> defaults =
        ofInterfaces.stream()
            .filter(
                method -> method.equals(slot) || takesOver(method, slot) || isLike(method, slot))
            .toList();
    List<ExecutableElement> closest =
        defaults.stream()
            .filter(each -> defaults.stream().noneMatch(other -> isBelow(other, each)))
            .toList();
    boolean anyDefault = closest.stream().anyMatch(each -> !isAbstract(each));
    boolean conflict =
        anyDefault && closest.size() > 1 && type.getKind() != ElementKind.ANNOTATION_TYPE;
    return conflict
        ? closest.stream().map(program.symbols()::key).sorted().collect(Collectors.joining(" | "))
        : closest.stream().map(program.symbols()::key).sorted().findFirst().orElse("");
  }

  private static boolean isAbstract(ExecutableElement method) {
    return method.getModifiers().contains(Modifier.ABSTRACT);
  }

  private boolean isBelow(ExecutableElement one, ExecutableElement other) {
    TypeElement owner = (TypeElement) other.getEnclosingElement();
    return !one.equals(other)
        && program.supertypes((TypeElement) one.getEnclosingElement()).contains(owner);
  }

  /** Whether a method runs in place of another, or the compiler would not let it stand beside. */
  private boolean takesOver(ExecutableElement method, ExecutableElement slot) {
    if (!method.getSimpleName().equals(slot.getSimpleName()) || method.equals(slot)) {
      return false;
    }
    return program.elements().overrides(method, slot, type) || meets(method, slot);
  }

  /** Whether two methods of interfaces are one for the class that inherits both. */
  private boolean isLike(ExecutableElement method, ExecutableElement slot) {
    if (!isSlot(method, type)
        || !method.getSimpleName().equals(slot.getSimpleName())
        || method.getModifiers().contains(Modifier.STATIC)
        || slot.getModifiers().contains(Modifier.STATIC)
        || method.getParameters().size() != slot.getParameters().size()) {
      return false;
    }
    DeclaredType self = (DeclaredType) type.asType();
    ExecutableType one = (ExecutableType) program.types().asMemberOf(self, method);
    ExecutableType other = (ExecutableType) program.types().asMemberOf(self, slot);
    return program.types().isSubsignature(one, other) || program.types().isSubsignature(other, one);
  }

  /** Whether two methods of one signature, of which one is static or private, meet in a class. */
  private boolean meets(ExecutableElement method, ExecutableElement slot) {
    boolean plain =
        !method.getModifiers().contains(Modifier.STATIC)
            && !method.getModifiers().contains(Modifier.PRIVATE)
            && !slot.getModifiers().contains(Modifier.STATIC);
    TypeElement owner = (TypeElement) slot.getEnclosingElement();
    TypeElement below = (TypeElement) method.getEnclosingElement();
    boolean inheritedForInterface =
        owner.getKind().isInterface()
            && below.getKind().isClass()
            && !method.getModifiers().contains(Modifier.PRIVATE);
    return !plain
        && !slot.getModifiers().contains(Modifier.PRIVATE)
        && (inheritedForInterface || program.supertypes(below).contains(owner))
        && program
            .symbols()
            .erasedParameters(method)
            .equals(program.symbols().erasedParameters(slot));
  }
}
