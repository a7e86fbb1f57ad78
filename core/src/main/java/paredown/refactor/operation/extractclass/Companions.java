package paredown.refactor.operation.extractclass;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import paredown.refactor.Refused;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses.MemberUse;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** The methods that stay in a class although they use nothing of it but what leaves. */
final class Companions {
  private Companions() {}

  /** What a user who left them out could want to know; empty where there is none. */
  static Optional<String> note(Leaving leaving, NewClass type) {
    OwnerClass owner = leaving.owner();
    List<MemberUse> uses = leaving.usesOfFields();
    List<String> found = new ArrayList<>();
    for (OwnerClass.Method method : owner.methods()) {
      boolean asks = uses.stream().anyMatch(use -> owner.holds(method.range(), use));
      if (!leaving.methods().contains(method)
          && asks
          && !isAccessor(method)
          && couldLeave(leaving, type, method)) {
        found.add(OwnerClass.signature(method));
      }
    }
    if (found.isEmpty()) {
      return Optional.empty();
    }
    List<String> all =
        new ArrayList<>(leaving.methods().stream().map(OwnerClass::signature).toList());
    all.addAll(found);
    return Optional.of(
        "%s %s nothing else; to take %s along: --methods '%s'"
            .formatted(
                Listed.of(found),
                found.size() == 1 ? "uses" : "use",
                found.size() == 1 ? "it" : "them",
                String.join(",", all)));
  }

  private static boolean couldLeave(Leaving leaving, NewClass type, OwnerClass.Method method) {
    Leaving alone = Leaving.of(leaving.owner(), method);
    try {
      new MethodChecks(alone).require();
      new CarriedCode(leaving.with(method), type, Receiving.nothing(leaving.owner(), type))
          .carry(method, false);
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
