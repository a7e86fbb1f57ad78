package paredown.refactor.name;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.use.OwnerClass;

/** What can be seen from a class: which members and types it may name. */
public final class Sight {
  private final String home;
  private final Element outermost;
  private final Program program;

  public Sight(TypeElement from, Program program) {
    this(
        program.elements().getPackageOf(from).getQualifiedName().toString(),
        OwnerClass.outermost(from),
        program);
  }

  private Sight(String home, Element outermost, Program program) {
    this.home = home;
    this.outermost = outermost;
    this.program = program;
  }

  /** What a new class of a package will see. */
  public static Sight within(String packageName, Program program) {
    return new Sight(packageName, null, program);
  }

  public boolean isNear(Element element) {
    return program.elements().getPackageOf(element).getQualifiedName().contentEquals(home);
  }

  public boolean isWithinSameOutermost(Element element) {
    return OwnerClass.outermost(element).equals(outermost);
  }

  /**
   * The declarations that would have to be more visible before an element can be named: itself, and
   * types around it. What stands in the body of a method is named there only.
   */
  List<Element> closed(Element element) {
    List<Element> closed = new ArrayList<>();
    for (Element at = element; at != null && isMemberOrType(at); at = at.getEnclosingElement()) {
      if (at instanceof TypeElement type && isOfBody(type)) {
        return List.of();
      }
      if (isClosed(at) && !isInherited(element, at)) {
        closed.add(at);
      }
    }
    return closed;
  }

  public boolean hides(Element element) {
    return !closed(element).isEmpty();
  }

  /**
   * Whether a hidden class of a library has a member that is seen in those below it, as a builder
   * of strings has its length.
   */
  private boolean isInherited(Element member, Element hidden) {
    return !member.equals(hidden)
        && member.getModifiers().contains(Modifier.PUBLIC)
        && !member.getModifiers().contains(Modifier.STATIC)
        && hidden instanceof TypeElement type
        && !program.declares(type);
  }

  /** Whether a class below has a member wherever it is. */
  public static boolean isSeenBelow(Element element) {
    return element.getModifiers().contains(Modifier.PROTECTED)
        && element.getKind() != ElementKind.CONSTRUCTOR
        && !(element instanceof TypeElement);
  }

  private static boolean isOfBody(TypeElement type) {
    NestingKind nesting = type.getNestingKind();
    return nesting == NestingKind.LOCAL || nesting == NestingKind.ANONYMOUS;
  }

  private static boolean isMemberOrType(Element element) {
    return element instanceof TypeElement
        || element instanceof ExecutableElement
        || element.getKind().isField();
  }

  private boolean isClosed(Element element) {
    Set<Modifier> modifiers = element.getModifiers();
    if (modifiers.contains(Modifier.PUBLIC) || isOpenByNature(element)) {
      return false;
    }
    return modifiers.contains(Modifier.PRIVATE)
        ? !isWithinSameOutermost(element)
        : !isNear(element);
  }

  /** Members of interfaces, enum constants and the length of arrays need no modifier. */
  private static boolean isOpenByNature(Element element) {
    Element outer = element.getEnclosingElement();
    boolean ofInterface =
        outer != null
            && outer.getKind().isInterface()
            && !element.getModifiers().contains(Modifier.PRIVATE);
    return outer == null
        || ofInterface
        || element.getKind() == ElementKind.ENUM_CONSTANT
        || !(outer instanceof TypeElement) && !(element instanceof TypeElement);
  }
}
