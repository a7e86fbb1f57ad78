package paredown.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jgrapht.Graph;
import org.jgrapht.Graphs;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;

/**
 * Hubs are the few fields that several otherwise separate parts of a class work on: without them
 * the parts share nothing, and none calls another.
 *
 * <p>That a class holds together by such fields alone is no cohesion: each part could be given its
 * object. Three hubs at the most are left out, and as few as tell the most parts apart.
 */
final class Hubs {
  private static final int MOST = 3;

  /** More fields than these nobody holds together by hand; {@link Themes} tells them apart. */
  private static final int MANY = 30;

  private static final int METHODS = 3;
  private static final int BRANCHES = 7;

  private final TypeFact type;
  private final Graph<String, Tie> graph;
  private final List<String> fields;
  private final Set<String> working;
  private List<Set<String>> best = List.of();

  private Hubs(TypeFact type, Graph<String, Tie> graph, Set<String> working) {
    this.type = type;
    this.working = working;
    this.graph = MemberGroups.within(graph, working);
    this.fields =
        type.instanceFields().stream()
            .map(FieldFact::name)
            .filter(name -> this.graph.containsVertex(name) && this.graph.degreeOf(name) > 1)
            .toList();
  }

  /**
   * The parts that hang together by hubs alone, each with state and logic; empty where there are
   * not two of them. What shows the object as text reads all of it, and ties nothing. The part that
   * works on the most hubs has them, and what else is left.
   *
   * @param graph of members that hang together
   */
  static List<Set<String>> apart(TypeFact type, Graph<String, Tie> graph) {
    Set<String> working = new HashSet<>(graph.vertexSet());
    Representation.of(type)
        .ifPresent(
            shown -> {
              shown.texts().forEach(working::remove);
              shown.helpers().forEach(working::remove);
            });
    Hubs hubs = new Hubs(type, graph, working);
    if (hubs.fields.size() > MANY) {
      return List.of();
    }
    for (int left = 0; left <= MOST; left++) {
      hubs.leave(left, 0, working);
    }
    return hubs.best.isEmpty() ? List.of() : hubs.complete();
  }

  /** The best parts, with all that is in none of them in the one that works on the most of it. */
  private List<Set<String>> complete() {
    Set<String> others = new TreeSet<>(working);
    best.forEach(others::removeAll);
    Set<String> main =
        best.stream()
            .max(
                Comparator.<Set<String>>comparingLong(part -> used(others, part))
                    .thenComparingInt(Set::size))
            .orElseThrow();
    main.addAll(others);
    return best;
  }

  /** How many of some members a part uses. */
  private long used(Set<String> members, Set<String> part) {
    return members.stream()
        .filter(member -> Graphs.neighborListOf(graph, member).stream().anyMatch(part::contains))
        .count();
  }

  /** Leaves so many fields out, from one of them on. */
  private void leave(int number, int from, Set<String> remaining) {
    if (number == 0) {
      List<Set<String>> parts = parts(remaining);
      if (parts.size() > 1 && isBetter(parts)) {
        best = parts;
      }
      return;
    }
    for (int i = from; i < fields.size(); i++) {
      Set<String> less = new HashSet<>(remaining);
      less.remove(fields.get(i));
      leave(number - 1, i + 1, less);
    }
  }

  private boolean isBetter(List<Set<String>> parts) {
    return parts.size() > best.size() || parts.size() == best.size() && all(parts) > all(best);
  }

  private static int all(List<Set<String>> parts) {
    return parts.stream().mapToInt(Set::size).sum();
  }

  private List<Set<String>> parts(Set<String> remaining) {
    List<Set<String>> parts = new ArrayList<>();
    for (Set<String> part : MemberGroups.parts(MemberGroups.within(graph, remaining))) {
      if (isPlain(part)) {
        parts.add(new TreeSet<>(part));
      }
    }
    parts.sort(Comparator.comparing(Set::toString));
    return parts;
  }

  /** A part is plain where it has state of its own, and logic that works on it. */
  private boolean isPlain(Set<String> part) {
    List<MethodFact> logic =
        part.stream()
            .flatMap(member -> type.method(member).stream())
            .filter(method -> !method.isAccessor() && method.forwards().isEmpty())
            .toList();
    return logic.size() >= METHODS
        && logic.stream().mapToInt(MethodFact::branches).sum() >= BRANCHES
        && part.stream().anyMatch(member -> type.field(member).isPresent());
  }
}
