package paredown.refactor.operation.movemethod;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.Sight;
import paredown.refactor.name.Widening;
import paredown.refactor.use.OwnerClass;

/** How far a moved method is seen in its new place, and what else must be seen from there. */
final class Visibility {
  private final Route route;
  private final OwnerClass owner;
  private final OwnerClass target;
  private final OwnerClass.Method method;
  private final Given given;
  private final CalmCalls calm;
  private final Widening widening;
  private AccessLevel wanted = AccessLevel.PRIVATE;

  Visibility(Route route, Given given, CalmCalls calm) {
    this.calm = calm;
    this.route = route;
    this.owner = route.owner();
    this.target = route.target();
    this.method = route.method();
    this.given = given;
    this.widening = new Widening(route.program());
    widenSeen();
    if (route.delegate()) {
      seenFrom(owner.element());
    }
  }

  /** What becomes more visible, for the code in its new place. */
  Widening widening() {
    return widening;
  }

  /** Notes that code of a class calls the method in its new place. */
  void seenFrom(TypeElement caller) {
    Sight sight = new Sight(caller, route.program());
    AccessLevel level = AccessLevel.neededBy(sight, target.element());
    if (level.compareTo(wanted) > 0) {
      wanted = level;
    }
    String place = target.trees().place(target.tree());
    widening.open(target.element(), sight, route.subject(), place);
    if (route.through() instanceof Through.Fresh) {
      makes(sight);
    }
  }

  /** Notes that code of a class makes objects of the target. */
  void makes(Sight sight) {
    String place = target.trees().place(target.tree());
    ElementFilter.constructorsIn(target.element().getEnclosedElements()).stream()
        .filter(constructor -> constructor.getParameters().isEmpty())
        .forEach(constructor -> widening.open(constructor, sight, route.subject(), place));
  }

  /** Notes that it is asked of a type below the target, which inherits nothing private. */
  void askedOf(TypeElement type) {
    if (!type.equals(target.element())) {
      boolean near = new Sight(type, route.program()).isNear(target.element());
      AccessLevel level = near ? AccessLevel.PACKAGE : AccessLevel.PUBLIC;
      wanted = level.compareTo(wanted) > 0 ? level : wanted;
    }
  }

  /** How far the method was seen in its old place. */
  AccessLevel before() {
    return AccessLevel.of(method.element());
  }

  /** How far it must be seen in its new place. */
  AccessLevel level() {
    AccessLevel level = before().compareTo(wanted) > 0 ? before() : wanted;
    boolean ofInterface = target.element().getKind().isInterface();
    return ofInterface && level != AccessLevel.PRIVATE ? AccessLevel.PUBLIC : level;
  }

  Optional<String> change(String name) {
    return level().compareTo(before()) > 0
        ? Optional.of(
            "%s#%s: %s -> %s".formatted(target.simpleName(), name, before().word(), level().word()))
        : Optional.empty();
  }

  private void widenSeen() {
    Sight sight = new Sight(target.element(), route.program());
    String subject = route.subject();
    Set<Tree> values = new HashSet<>();
    route.code().asked().forEach(asked -> values.add(asked.path().getLeaf()));
    for (TreePath path : route.code().seen()) {
      Element element = owner.trees().element(path);
      boolean asked = !given.isOwner() && values.contains(path.getLeaf());
      boolean itself = element.equals(method.element()) && !(given.isOwner() && route.delegate());
      boolean got =
          given.isOwner()
              && values.contains(path.getLeaf())
              && PlainGetter.instead(route, calm, path, element).isPresent();
      if (!asked && !itself && !got) {
        widening.open(element, sight, subject, owner.trees().place(path.getLeaf()));
      }
    }
    if (given.isOwner()
        && MovedCode.isWithinGeneric(owner.element())
        && !(route.through() instanceof Through.Around)) {
      throw Refused.because(
          RefusalKind.OWNER_TYPE_VARIABLE, subject, owner.trees().place(method.tree()));
    }
    if (given.isOwner()) {
      widening.open(owner.element(), sight, subject, owner.trees().place(method.tree()));
    }
  }
}
