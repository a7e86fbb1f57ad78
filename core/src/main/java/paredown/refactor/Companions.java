package paredown.refactor;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import paredown.refactor.MemberUses.MemberUse;
import paredown.text.Listed;

/** The methods that stay in a class although they use nothing of it but what leaves. */
final class Companions {
  private Companions() {}

  /**
   * What a user who left them out could want to know; empty where there is none.
   *
   * @param moved what leaves, with its keys
   * @param uses of the fields that leave
   */
  static Optional<String> note(
      OwnerClass owner,
      Map<Element, String> moved,
      List<OwnerClass.Method> methods,
      List<MemberUse> uses) {
    List<String> found = new ArrayList<>();
    for (OwnerClass.Method method : owner.methods()) {
      boolean asks = uses.stream().anyMatch(use -> owner.holds(method.range(), use));
      if (!methods.contains(method)
          && asks
          && !isAccessor(method)
          && couldLeave(owner, moved, method)) {
        found.add(OwnerClass.signature(method));
      }
    }
    if (found.isEmpty()) {
      return Optional.empty();
    }
    List<String> all = new ArrayList<>(methods.stream().map(OwnerClass::signature).toList());
    all.addAll(found);
    return Optional.of(
        "%s %s nothing else; to take %s along: --methods '%s'"
            .formatted(
                Listed.of(found),
                found.size() == 1 ? "uses" : "use",
                found.size() == 1 ? "it" : "them",
                String.join(",", all)));
  }

  private static boolean couldLeave(
      OwnerClass owner, Map<Element, String> moved, OwnerClass.Method method) {
    Map<Element, String> more = new HashMap<>(moved);
    more.put(method.element(), method.key());
    try {
      new MethodChecks(owner, List.of(method)).require(List.of());
      new CarriedCode(owner, more, "", "", false).carry(method, false);
      return true;
    } catch (Refused refused) {
      return false;
    }
  }

  /** Moving what only gives or takes a value along would gain nothing. */
  private static boolean isAccessor(OwnerClass.Method method) {
    if (method.tree().getBody() == null || method.tree().getBody().getStatements().size() != 1) {
      return false;
    }
    StatementTree only = method.tree().getBody().getStatements().get(0);
    return only instanceof ReturnTree returned
        && (returned.getExpression() instanceof IdentifierTree
            || returned.getExpression() instanceof MemberSelectTree);
  }
}
