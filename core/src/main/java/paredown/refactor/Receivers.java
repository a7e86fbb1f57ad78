package paredown.refactor;

import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.Set;
import javax.lang.model.element.Element;

/** Finds the methods that leave and need their old object, themselves or for others they call. */
final class Receivers {
  private Receivers() {}

  /**
   * The methods.
   *
   * @throws Refused where one cannot leave even so
   */
  static Set<OwnerClass.Method> of(Leaving leaving, NewClass type) {
    Set<OwnerClass.Method> found = new LinkedHashSet<>();
    boolean grew = true;
    while (grew) {
      grew = false;
      CarriedCode carried = new CarriedCode(leaving, type, found);
      for (OwnerClass.Method method : leaving.methodsOfObject()) {
        grew |= carried.needsOwner(method) && found.add(method);
      }
    }
    return found;
  }

  static Set<Element> elements(Set<OwnerClass.Method> methods) {
    Set<Element> elements = new HashSet<>();
    methods.forEach(method -> elements.add(method.element()));
    return elements;
  }
}
