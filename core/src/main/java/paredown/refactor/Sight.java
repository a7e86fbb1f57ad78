package paredown.refactor;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.PackageElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.Elements;

/** What can be seen from a class: which members and types it may name. */
final class Sight {
  private final PackageElement home;
  private final Element outermost;
  private final Elements elements;

  Sight(TypeElement from, Elements elements) {
    this(elements.getPackageOf(from), OwnerClass.outermost(from), elements);
  }

  private Sight(PackageElement home, Element outermost, Elements elements) {
    this.home = home;
    this.outermost = outermost;
    this.elements = elements;
  }

  /** What a new class in the package of another will see. */
  static Sight beside(TypeElement type, Elements elements) {
    return new Sight(elements.getPackageOf(type), null, elements);
  }

  boolean isNear(Element element) {
    return home.equals(elements.getPackageOf(element));
  }

  boolean isWithinSameOutermost(Element element) {
    return OwnerClass.outermost(element).equals(outermost);
  }

  /**
   * The declarations that would have to be more visible before an element can be named: itself, and
   * types around it.
   */
  List<Element> closed(Element element) {
    List<Element> closed = new ArrayList<>();
    for (Element at = element; at != null && isMemberOrType(at); at = at.getEnclosingElement()) {
      if (isClosed(at)) {
        closed.add(at);
      }
    }
    return closed;
  }

  boolean hides(Element element) {
    return !closed(element).isEmpty();
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
