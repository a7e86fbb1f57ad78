package paredown.refactor.name;

import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/** How far a member is seen, from the least. */
public enum AccessLevel {
  PRIVATE("private"),
  PACKAGE("package"),
  PROTECTED("protected"),
  PUBLIC("public");

  private final String word;

  AccessLevel(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }

  /** Whether code of other projects can see a declaration: it and all around it is open. */
  public static boolean isApi(Element element) {
    Element around = element.getEnclosingElement();
    return of(element).compareTo(PROTECTED) >= 0
        && (!(around instanceof TypeElement) || isApi(around));
  }

  /** How far a member of a class must be seen from a place. */
  public static AccessLevel neededBy(Sight sight, Element of) {
    return sight.isWithinSameOutermost(of) ? PRIVATE : sight.isNear(of) ? PACKAGE : PUBLIC;
  }

  /** How far a declaration is seen by its modifiers. */
  public static AccessLevel of(Element element) {
    Set<Modifier> modifiers = element.getModifiers();
    return modifiers.contains(Modifier.PUBLIC)
        ? PUBLIC
        : modifiers.contains(Modifier.PROTECTED)
            ? PROTECTED
            : modifiers.contains(Modifier.PRIVATE) ? PRIVATE : PACKAGE;
  }
}
