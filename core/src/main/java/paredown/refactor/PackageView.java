package paredown.refactor;

import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.PackageElement;
import javax.lang.model.element.TypeElement;

/**
 * What the owner's neighbours in its package can see: all but what is private, here or elsewhere.
 */
final class PackageView {
  private final OwnerClass owner;

  PackageView(OwnerClass owner) {
    this.owner = owner;
  }

  /** Whether a member or type cannot be seen from another class of the same package. */
  boolean hides(Element element) {
    if (!isMemberOrType(element)) {
      return false;
    }
    for (Element at = element; at != null && isMemberOrType(at); at = at.getEnclosingElement()) {
      if (isClosed(at)) {
        return true;
      }
    }
    return false;
  }

  private static boolean isMemberOrType(Element element) {
    return element instanceof TypeElement
        || element instanceof ExecutableElement
        || element.getKind().isField();
  }

  private boolean isClosed(Element element) {
    Set<Modifier> modifiers = element.getModifiers();
    if (modifiers.contains(Modifier.PRIVATE)) {
      return true;
    }
    PackageElement home = owner.program().elements().getPackageOf(owner.element());
    PackageElement away = owner.program().elements().getPackageOf(element);
    return away != null
        && !away.equals(home)
        && !modifiers.contains(Modifier.PUBLIC)
        && !isOpenByNature(element);
  }

  /** Members of interfaces, enum constants and the length of arrays need no modifier. */
  private static boolean isOpenByNature(Element element) {
    Element outer = element.getEnclosingElement();
    return outer == null
        || outer.getKind().isInterface()
        || element.getKind() == ElementKind.ENUM_CONSTANT
        || element.getSimpleName().contentEquals("length");
  }
}
