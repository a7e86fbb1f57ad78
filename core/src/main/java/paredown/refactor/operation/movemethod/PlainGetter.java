package paredown.refactor.operation.movemethod;

import com.sun.source.util.TreePath;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.name.Sight;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/** A method that plainly gives a field, where the field itself cannot be seen. */
final class PlainGetter {
  private PlainGetter() {}

  /**
   * The method of a class that gives one of its fields to code of another class.
   *
   * @param leaving the method that moves, which is none
   * @param from the class in which the code stands
   */
  static Optional<ExecutableElement> of(
      OwnerClass owner,
      OwnerClass.Method leaving,
      CalmCalls calm,
      Element field,
      TypeElement from) {
    Sight sight = new Sight(from, owner.program());
    return owner.methods().stream()
        .filter(each -> each != leaving)
        .filter(each -> !each.is(Modifier.STATIC) && !sight.hides(each.element()))
        .map(OwnerClass.Method::element)
        .filter(each -> calm.field(each).filter(field::equals).isPresent())
        .findFirst();
  }

  /**
   * The same for a place where a field of the old object is read; empty where it can be seen, or is
   * set.
   */
  static Optional<ExecutableElement> instead(
      Route route, CalmCalls calm, TreePath path, Element member) {
    TypeElement target = route.target().element();
    boolean hidden =
        member != null
            && member.getKind().isField()
            && MemberUses.access(path) == MemberUses.Access.READ
            && new Sight(target, route.program()).hides(member);
    return hidden ? of(route.owner(), route.method(), calm, member, target) : Optional.empty();
  }
}
