package paredown.smell;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * The closed frequent sets of items: groups that recur together in several places and to which no
 * item can be added without losing a place.
 *
 * <p>Pasquier, Bastide, Taouil and Lakhal, "Discovering frequent closed itemsets for association
 * rules", 1999. Found by intersecting the places with each other until nothing new comes up.
 */
public final class ClosedSets {
  private static final int MOST = 5_000;

  private ClosedSets() {}

  /** A set of items and the places that hold all of them. */
  public record Closed<P>(Set<String> items, List<P> places) {}

  /**
   * The sets of so many items in so many places, each place explained by the largest set first: a
   * smaller set counts only where enough places are left for it.
   */
  public static <P> List<Closed<P>> of(Map<P, Set<String>> itemsOf, int items, int places) {
    Map<String, List<P>> holders = new LinkedHashMap<>();
    itemsOf.forEach(
        (place, held) ->
            held.forEach(item -> holders.computeIfAbsent(item, i -> new ArrayList<>()).add(place)));
    // An item that stands in too few places is in no set, so that most places fall away.
    holders.values().removeIf(each -> each.size() < places);
    List<String> frequent = List.copyOf(holders.keySet());
    Map<String, Integer> numbers = new HashMap<>();
    frequent.forEach(item -> numbers.put(item, numbers.size()));
    Set<BitSet> whole = new LinkedHashSet<>();
    for (Set<String> held : itemsOf.values()) {
      BitSet bits = new BitSet();
      held.stream().filter(numbers::containsKey).map(numbers::get).forEach(bits::set);
      if (bits.cardinality() >= items) {
        whole.add(bits);
      }
    }
    Set<Set<String>> found = new LinkedHashSet<>();
    for (BitSet bits : intersections(whole, items)) {
      found.add(
          bits.stream().mapToObj(frequent::get).collect(Collectors.toCollection(TreeSet::new)));
    }
    return explained(found, itemsOf, holders, places);
  }

  /** The sets, what they have in common, what that has in common, until nothing new comes up. */
  private static Set<BitSet> intersections(Set<BitSet> whole, int items) {
    Set<BitSet> found = new LinkedHashSet<>(whole);
    List<BitSet> open = List.copyOf(whole);
    while (!open.isEmpty() && found.size() < MOST) {
      List<BitSet> next = new ArrayList<>();
      for (BitSet one : open) {
        for (BitSet other : whole) {
          if (one.intersects(other)) {
            BitSet common = (BitSet) one.clone();
            common.and(other);
            if (common.cardinality() >= items && found.add(common)) {
              next.add(common);
            }
          }
        }
      }
      open = next;
    }
    return found;
  }

  private static <P> List<Closed<P>> explained(
      Set<Set<String>> sets,
      Map<P, Set<String>> itemsOf,
      Map<String, List<P>> holders,
      int places) {
    List<Closed<P>> closed = new ArrayList<>();
    for (Set<String> set : sets) {
      List<P> holding =
          holders.get(set.iterator().next()).stream()
              .filter(place -> itemsOf.get(place).containsAll(set))
              .toList();
      if (holding.size() >= places) {
        closed.add(new Closed<>(set, holding));
      }
    }
    closed.sort(
        Comparator.<Closed<P>>comparingInt(each -> each.items().size())
            .reversed()
            .thenComparing(each -> -each.places().size())
            .thenComparing(each -> each.items().stream().sorted().toList().toString()));
    Map<Set<String>, Closed<P>> kept = new LinkedHashMap<>();
    for (Closed<P> each : closed) {
      long unexplained =
          each.places().stream()
              .filter(
                  place ->
                      kept.values().stream()
                          .noneMatch(
                              larger ->
                                  larger.items().containsAll(each.items())
                                      && larger.places().contains(place)))
              .count();
      if (unexplained >= places) {
        kept.put(each.items(), each);
      }
    }
    return List.copyOf(kept.values());
  }
}
