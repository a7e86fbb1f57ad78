package paredown.measure;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
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
 * object. Three hubs at the most are left out, and as few as tell the most parts apart. There are
 * thousands of ways to leave three fields out, so that members are numbers here and sets are bits.
 */
final class Hubs {
  private static final int MOST = 3;

  /** More fields than these nobody holds together by hand; {@link Themes} tells them apart. */
  private static final int MANY = 30;

  private static final int METHODS = 3;
  private static final int BRANCHES = 7;

  private final List<String> members;
  private final BitSet[] tied;
  private final BitSet state = new BitSet();
  private final BitSet logic = new BitSet();
  private final int[] branches;
  private List<BitSet> best = List.of();

  private Hubs(TypeFact type, Graph<String, Tie> graph, Set<String> working) {
    this.members = List.copyOf(working);
    this.tied = new BitSet[members.size()];
    this.branches = new int[members.size()];
    for (int i = 0; i < tied.length; i++) {
      tied[i] = new BitSet();
      for (String other : Graphs.neighborSetOf(graph, members.get(i))) {
        if (working.contains(other)) {
          tied[i].set(members.indexOf(other));
        }
      }
      note(type, i);
    }
  }

  private void note(TypeFact type, int member) {
    if (type.field(members.get(member)).isPresent()) {
      state.set(member);
    }
    type.method(members.get(member))
        .filter(MethodFact::works)
        .ifPresent(
            method -> {
              logic.set(member);
              branches[member] = method.branches();
            });
  }

  /**
   * The parts that hang together by hubs alone, each with state and logic; empty where there are
   * not two of them. What shows the object as text reads all of it, and ties nothing. The part that
   * works on the most hubs has them, and what else is left.
   *
   * @param graph of members that hang together
   */
  static List<Set<String>> apart(TypeFact type, Graph<String, Tie> graph) {
    Set<String> working = new TreeSet<>(graph.vertexSet());
    Representation.of(type).map(Representation::making).ifPresent(working::removeAll);
    Hubs hubs = new Hubs(type, graph, working);
    List<Integer> fields =
        type.instanceFields().stream()
            .map(FieldFact::name)
            .map(hubs.members::indexOf)
            .filter(field -> field >= 0 && hubs.tied[field].cardinality() > 1)
            .toList();
    if (fields.size() > MANY) {
      return List.of();
    }
    BitSet all = new BitSet();
    all.set(0, hubs.members.size());
    for (int left = 0; left <= MOST; left++) {
      hubs.leave(left, fields, all);
    }
    return hubs.best.isEmpty() ? List.of() : hubs.complete(all);
  }

  /** The best parts, with all that is in none of them in the one that works on the most of it. */
  private List<Set<String>> complete(BitSet all) {
    BitSet others = (BitSet) all.clone();
    best.forEach(others::andNot);
    best.stream()
        .max(
            Comparator.<BitSet>comparingLong(part -> used(others, part))
                .thenComparingInt(BitSet::cardinality))
        .orElseThrow()
        .or(others);
    return best.stream().map(this::names).toList();
  }

  /** How many of some members a part uses. */
  private long used(BitSet some, BitSet part) {
    return some.stream().filter(member -> tied[member].intersects(part)).count();
  }

  private Set<String> names(BitSet part) {
    return part.stream().mapToObj(members::get).collect(Collectors.toCollection(TreeSet::new));
  }

  /** Leaves so many of some fields out. */
  private void leave(int number, List<Integer> fields, BitSet remaining) {
    if (number == 0) {
      List<BitSet> parts = parts(remaining);
      if (parts.size() > 1 && isBetter(parts)) {
        best = parts;
      }
      return;
    }
    for (int i = 0; i < fields.size(); i++) {
      BitSet less = (BitSet) remaining.clone();
      less.clear(fields.get(i));
      leave(number - 1, fields.subList(i + 1, fields.size()), less);
    }
  }

  private boolean isBetter(List<BitSet> parts) {
    return parts.size() > best.size() || parts.size() == best.size() && all(parts) > all(best);
  }

  private static int all(List<BitSet> parts) {
    return parts.stream().mapToInt(BitSet::cardinality).sum();
  }

  private List<BitSet> parts(BitSet remaining) {
    List<BitSet> parts = new ArrayList<>();
    BitSet left = (BitSet) remaining.clone();
    while (!left.isEmpty()) {
      BitSet part = around(left.nextSetBit(0), left);
      left.andNot(part);
      if (isPlain(part)) {
        parts.add(part);
      }
    }
    return parts;
  }

  /** What hangs together with a member, of some. */
  private BitSet around(int member, BitSet some) {
    BitSet part = new BitSet();
    BitSet next = new BitSet();
    next.set(member);
    while (!next.isEmpty()) {
      part.or(next);
      BitSet found = new BitSet();
      next.stream().forEach(each -> found.or(tied[each]));
      found.and(some);
      found.andNot(part);
      next = found;
    }
    return part;
  }

  /** A part is plain where it has state of its own, and logic that works on it. */
  private boolean isPlain(BitSet part) {
    BitSet working = (BitSet) part.clone();
    working.and(logic);
    return part.intersects(state)
        && working.cardinality() >= METHODS
        && working.stream().map(member -> branches[member]).sum() >= BRANCHES;
  }
}
