package paredown.measure;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.facts.LocalUse;
import paredown.facts.MethodFact;
import paredown.facts.Span;

/**
 * Runs of statements that work one value out: the first declares a variable, the last sets or uses
 * it, none leaves them, and what follows reads nothing else of what they set.
 */
public final class WorkedOut {
  private static final int MOST = 8;

  private final MethodFact method;
  private final Set<LocalUse.Kind> ending;

  private WorkedOut(MethodFact method, Set<LocalUse.Kind> ending) {
    this.method = method;
    this.ending = ending;
  }

  /**
   * The runs of which the last statement sets the variable: each as one span, and of those that
   * begin alike the longest.
   */
  public static List<Span> in(MethodFact method) {
    return in(method, EnumSet.of(LocalUse.Kind.WRITE));
  }

  /**
   * The same within paragraphs, where it is enough that the last statement uses the variable, such
   * as a list.
   */
  public static List<Span> orFilledIn(MethodFact method) {
    return in(method, EnumSet.of(LocalUse.Kind.WRITE, LocalUse.Kind.READ)).stream()
        .filter(run -> method.body().spans().stream().noneMatch(span -> parts(span, run)))
        .toList();
  }

  /** Whether a statement begins a paragraph in the middle of a run. */
  private static boolean parts(Span span, Span run) {
    return span.paragraph()
        && span.depth() == run.depth()
        && run.start() < span.start()
        && span.start() < run.end();
  }

  private static List<Span> in(MethodFact method, Set<LocalUse.Kind> ending) {
    Map<String, List<Span>> rows = new LinkedHashMap<>();
    for (Span span : method.body().spans()) {
      rows.computeIfAbsent(span.block() + ":" + span.depth(), each -> new ArrayList<>()).add(span);
    }
    WorkedOut runs = new WorkedOut(method, ending);
    return rows.values().stream().flatMap(row -> runs.of(row).stream()).toList();
  }

  private List<Span> of(List<Span> row) {
    List<Span> found = new ArrayList<>();
    for (int i = 0; i < row.size(); i++) {
      for (LocalUse declared : uses(row.get(i), EnumSet.of(LocalUse.Kind.DECLARE))) {
        for (int j = Math.min(row.size() - 1, i + MOST); j > i; j--) {
          Span run = Span.joined(row.subList(i, j + 1));
          if (!run.jumps()
              && ends(row.get(j), declared)
              && method.body().left(run).equals(Set.of(declared.name()))) {
            found.add(run);
            break;
          }
        }
      }
    }
    return found;
  }

  private boolean ends(Span span, LocalUse declared) {
    return uses(span, ending).stream().anyMatch(use -> use.variable() == declared.variable());
  }

  private List<LocalUse> uses(Span span, Set<LocalUse.Kind> kinds) {
    return method.body().locals().stream()
        .filter(use -> kinds.contains(use.kind()) && span.holds(use.offset()))
        .toList();
  }
}
