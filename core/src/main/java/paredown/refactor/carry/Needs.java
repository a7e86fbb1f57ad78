package paredown.refactor.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/**
 * What a method needs of its class beside what leaves with it.
 *
 * @param members fields and methods, in the order in which it uses them
 */
public record Needs(OwnerClass owner, OwnerClass.Method method, List<Element> members) {

  /** The refusal that says what they are, and what taking them along would cost. */
  public Refused refused(String place) {
    List<String> costs = new ArrayList<>();
    for (Element member : members) {
      String word = word(member);
      boolean own = owner.element().equals(member.getEnclosingElement());
      costs.add(own ? "%s (%s)".formatted(word, times(member)) : word + " (inherited)");
    }
    return Refused.of(
            RefusalKind.NEEDS_OWNER, OwnerClass.signature(method), Listed.of(costs), place)
        .with(
            "Take them along, leave it, or say %s."
                .formatted(
                    readable()
                        ? "--pass values to let it receive those values"
                        : "--pass owner to let it receive the whole " + owner.simpleName()));
  }

  /** Whether all could be values. */
  private boolean readable() {
    return members.stream()
        .allMatch(
            member ->
                member.getKind().isField() && owner.element().equals(member.getEnclosingElement()));
  }

  private static String word(Element member) {
    return member.getSimpleName() + (member.getKind() == ElementKind.METHOD ? "()" : "");
  }

  private String times(Element member) {
    String key = owner.program().symbols().key(member);
    long count =
        MemberUses.of(owner.program(), Map.of(member, key)).stream()
            .filter(use -> !owner.holds(method.range(), use))
            .count();
    boolean all = member.getModifiers().contains(Modifier.PRIVATE);
    if (count == 0) {
      return all ? "no other use" : "no other use seen";
    }
    return (all ? "" : "at least ") + count + (count == 1 ? " other use" : " other uses");
  }
}
