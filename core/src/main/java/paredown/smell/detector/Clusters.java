package paredown.smell.detector;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.smell.Limits;

/** Runs that are worded alike, by their wording. */
final class Clusters {
  private final Set<String> types;
  private final Map<List<Long>, Set<Run>> all = new LinkedHashMap<>();

  /** The wordings of methods that siblings have, and of all of two methods of one class. */
  private final Set<List<Long>> close = new HashSet<>();

  /**
   * Clusters without runs.
   *
   * @param types the names of all classes of the project
   */
  Clusters(Set<String> types) {
    this.types = types;
  }

  /** Adds two runs that are worded alike, where they say enough to be said once. */
  void add(Run one, Run other) {
    boolean siblings = one.isKin(other, types);
    boolean telling =
        siblings ? one.isTellingOfSiblings() || one.isAll() && other.isAll() : one.isTelling();
    if (!telling) {
      return;
    }
    List<Long> wording = one.wording();
    Set<Run> cluster = all.computeIfAbsent(wording, each -> new LinkedHashSet<>());
    cluster.add(one);
    cluster.add(other);
    boolean whole =
        one.isAll() && other.isAll() && one.row().owned().type() == other.row().owned().type();
    if (siblings || whole) {
      close.add(wording);
    }
  }

  /** The runs of each that do not overlap, in the order of the text. */
  List<List<Run>> all() {
    return all.values().stream().map(Clusters::apart).toList();
  }

  /** How many words of some clusters are worth a finding: fewer, where methods do the same. */
  int least(List<List<Run>> clusters, Limits limits) {
    boolean same = clusters.stream().anyMatch(each -> close.contains(each.get(0).wording()));
    return same ? limits.duplicateWords() * 3 / 5 : limits.duplicateWords();
  }

  private static List<Run> apart(Set<Run> runs) {
    List<Run> sorted = new ArrayList<>(runs);
    sorted.sort(
        Comparator.comparing((Run run) -> run.row().owned().type().name())
            .thenComparing(run -> run.begin().start()));
    List<Run> apart = new ArrayList<>();
    for (Run run : sorted) {
      boolean overlaps =
          apart.stream()
              .anyMatch(
                  each ->
                      each.row().owned() == run.row().owned()
                          && run.begin().start() < each.end().end());
      if (!overlaps) {
        apart.add(run);
      }
    }
    return apart;
  }
}
