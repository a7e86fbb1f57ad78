package paredown.smell.detector;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.facts.LocalUse;
import paredown.facts.MethodFact;
import paredown.facts.Span;

/**
 * Runs of statements that work one value out: the first declares a variable, those behind it set it
 * further, and what follows reads nothing else of what they set.
 */
final class WorkedOut {
  private static final int MOST = 8;

  private final MethodFact method;

  private WorkedOut(MethodFact method) {
    this.method = method;
  }

  /** The runs of a method, each as one span; of those that begin alike the longest. */
  static List<Span> in(MethodFact method) {
    Map<String, List<Span>> rows = new LinkedHashMap<>();
    for (Span span : method.body().spans()) {
      rows.computeIfAbsent(span.block() + ":" + span.depth(), each -> new ArrayList<>()).add(span);
    }
    WorkedOut runs = new WorkedOut(method);
    return rows.values().stream().flatMap(row -> runs.of(row).stream()).toList();
  }

  private List<Span> of(List<Span> row) {
    List<Span> found = new ArrayList<>();
    for (int i = 0; i < row.size(); i++) {
      for (LocalUse declared : uses(row.get(i), LocalUse.Kind.DECLARE)) {
        for (int j = Math.min(row.size() - 1, i + MOST); j > i; j--) {
          Span run = Span.joined(row.subList(i, j + 1));
          if (sets(row.get(j), declared)
              && method.body().left(run).equals(Set.of(declared.name()))) {
            found.add(run);
            break;
          }
        }
      }
    }
    return found;
  }

  private boolean sets(Span span, LocalUse declared) {
    return uses(span, LocalUse.Kind.WRITE).stream()
        .anyMatch(use -> use.variable() == declared.variable());
  }

  private List<LocalUse> uses(Span span, LocalUse.Kind kind) {
    return method.body().locals().stream()
        .filter(use -> use.kind() == kind && span.holds(use.offset()))
        .toList();
  }
}
