package paredown.smell.detector;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import paredown.facts.MethodFact;
import paredown.facts.Span;
import paredown.smell.Detector;
import paredown.smell.Finding;
import paredown.smell.Grounds;
import paredown.smell.Owned;

/**
 * A duplicate is a run of statements that stands in several places, alike but for the names of
 * variables and own fields, and for literals. What two classes, or one, have in common is one
 * finding.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3, "Duplicated code"; statements are compared by hashes
 * of their tokens, as Baker did in "On finding duplication and near-duplication in large software
 * systems", 1995, with parameters for what may differ. Overloads of one name, what equals and its
 * like must say, and lists of statements that are all alike, are none.
 */
public final class Duplicate implements Detector {
  private static final int MANY = 40;

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Clusters clusters = new Clusters(grounds.types().keySet());
    Map<Long, List<Place>> places = places(grounds);
    Set<Long> common = new HashSet<>();
    places.forEach(
        (wording, alike) -> {
          if (alike.size() > MANY) {
            common.add(wording);
          }
        });
    for (List<Place> alike : places.values()) {
      if (alike.size() > 1 && alike.size() <= MANY) {
        pairs(alike, common, clusters);
      }
    }
    List<List<Run>> kept = withoutInner(clusters.all());
    Map<Set<String>, List<List<Run>>> byTypes = new LinkedHashMap<>();
    for (List<Run> cluster : kept) {
      Set<String> types = new TreeSet<>();
      cluster.forEach(run -> types.add(run.row().owned().type().name()));
      byTypes.computeIfAbsent(types, each -> new ArrayList<>()).add(cluster);
    }
    return byTypes.values().stream()
        .filter(each -> Repeated.words(each) >= clusters.least(each, grounds.limits()))
        .map(each -> Repeated.finding(each, grounds.limits()));
  }

  /** A statement in its row. */
  private record Place(Row row, int index) {
    Place back(int statements) {
      return new Place(row, index - statements);
    }
  }

  private static Map<Long, List<Place>> places(Grounds grounds) {
    Map<Long, List<Place>> places = new LinkedHashMap<>();
    grounds
        .methods()
        .filter(owned -> !isGiven(owned.method()))
        .flatMap(owned -> Row.of(owned).stream())
        .forEach(
            row -> {
              for (int i = 0; i < row.spans().size(); i++) {
                places
                    .computeIfAbsent(row.spans().get(i).wording().hash(), each -> new ArrayList<>())
                    .add(new Place(row, i));
              }
            });
    return places;
  }

  /** Whether its class has to have a method, and what it says follows from the fields. */
  private static boolean isGiven(MethodFact method) {
    return method.isOfAnyObject() || method.name().equals("clone");
  }

  private static void pairs(List<Place> alike, Set<Long> common, Clusters clusters) {
    for (int i = 0; i < alike.size(); i++) {
      for (int j = i + 1; j < alike.size(); j++) {
        Place one = alike.get(i);
        Place other = alike.get(j);
        int before = common(one, other, common);
        if (before >= 0 && !Repeated.isOverload(one.row().owned(), other.row().owned())) {
          one = one.back(before);
          other = other.back(before);
          int length = length(one, other);
          int guards = guards(one, other, length);
          one = one.back(-guards);
          other = other.back(-guards);
          length -= guards;
          Run first = new Run(one.row(), one.index(), one.index() + length - 1);
          Run second = new Run(other.row(), other.index(), other.index() + length - 1);
          if (first.isLongEnough(one.row() == other.row())) {
            clusters.add(first, second);
          }
        }
      }
    }
  }

  /**
   * How many statements that stand everywhere a run begins with, before these two; below 0 where
   * one of those before them is not so common, and the run is found from there.
   */
  private static int common(Place one, Place other, Set<Long> common) {
    int most = Math.min(one.index(), other.index());
    if (one.row() == other.row()) {
      int apart = other.index() - one.index();
      most = apart == 1 ? 0 : Math.min(most, apart - 1);
    }
    int back = 0;
    while (back < most && hash(one, -back - 1) == hash(other, -back - 1)) {
      if (!common.contains(hash(one, -back - 1))) {
        return -1;
      }
      back++;
    }
    return back;
  }

  /**
   * How many statements at the beginning leave the method: such guards stay in it, unless what
   * follows goes on to its end.
   */
  private static int guards(Place one, Place other, int length) {
    boolean whole = isToEnd(one, length) && isToEnd(other, length);
    int guards = 0;
    while (!whole && guards < length - 1 && span(one, guards).jumps()) {
      guards++;
    }
    return guards;
  }

  private static boolean isToEnd(Place place, int length) {
    return place.index() + length == place.row().spans().size();
  }

  private static Span span(Place place, int step) {
    return place.row().spans().get(place.index() + step);
  }

  private static long hash(Place place, int step) {
    return span(place, step).wording().hash();
  }

  private static int length(Place one, Place other) {
    int most =
        Math.min(
            one.row().spans().size() - one.index(), other.row().spans().size() - other.index());
    if (one.row() == other.row()) {
      most = Math.min(most, Math.abs(other.index() - one.index()));
    }
    int length = 1;
    while (length < most && hash(one, length) == hash(other, length)) {
      length++;
    }
    return length;
  }

  /** The clusters of which not every run stands within one of another cluster. */
  private static List<List<Run>> withoutInner(List<List<Run>> clusters) {
    List<List<Run>> sorted = new ArrayList<>(clusters);
    sorted.sort(Comparator.comparingInt((List<Run> each) -> -each.get(0).words()));
    List<List<Run>> kept = new ArrayList<>();
    Map<Owned, List<Run>> taken = new IdentityHashMap<>();
    for (List<Run> cluster : sorted) {
      boolean inner =
          cluster.stream()
              .allMatch(
                  run ->
                      taken.getOrDefault(run.row().owned(), List.of()).stream()
                          .anyMatch(each -> each.holds(run)));
      if (cluster.size() > 1 && !inner) {
        kept.add(cluster);
        cluster.forEach(
            run -> taken.computeIfAbsent(run.row().owned(), each -> new ArrayList<>()).add(run));
      }
    }
    return kept;
  }
}
