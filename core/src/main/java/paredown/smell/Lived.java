package paredown.smell;

import java.util.Map;
import paredown.facts.Head;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;

/** Findings that the code itself says it can live with: {@code @SuppressWarnings("pare:NAME")}. */
public final class Lived {
  private Lived() {}

  /** Whether the finding's method, its class or a class around it says so. */
  public static boolean with(Finding finding, Map<String, TypeFact> types) {
    TypeFact type = types.get(finding.type());
    boolean lived =
        type != null
            && type.methods().stream()
                .filter(method -> finding.identity().contains(method.signature()))
                .map(MethodFact::head)
                .anyMatch(head -> says(head, finding.smell()));
    for (TypeFact at = type; at != null && !lived; at = types.get(at.outer())) {
      lived = says(at.head(), finding.smell());
    }
    return lived;
  }

  private static boolean says(Head head, Smell smell) {
    return head.living().contains(smell.id());
  }
}
