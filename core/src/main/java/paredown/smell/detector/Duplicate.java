package paredown.smell.detector;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import paredown.facts.MethodFact;
import paredown.facts.Range;
import paredown.facts.Span;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Owned;
import paredown.smell.Smell;
import paredown.text.Counted;
import paredown.text.Listed;

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
  private static final int RUN_WORDS = 12;
  private static final int BODY_WORDS = 9;

  /** A list of so many statements of each kind says the same over and over. */
  private static final int KIND = 4;

  private static final int RUN_NAMES = 4;
  private static final int RUN_STATEMENTS = 3;
  private static final int MANY = 40;

  /** Statements that follow each other in one block. */
  private record Row(Owned owned, List<Span> spans, List<Integer> statements) {
    /** Each row is itself only; what it consists of would take long to compare. */
    @Override
    public boolean equals(Object other) {
      return this == other;
    }

    @Override
    public int hashCode() {
      return System.identityHashCode(this);
    }
  }

  /** A run of statements in a row. */
  private record Run(Row row, int first, int last) {
    Span begin() {
      return row.spans().get(first);
    }

    Span end() {
      return row.spans().get(last);
    }

    boolean holds(Run other) {
      return row.owned() == other.row.owned()
          && begin().start() <= other.begin().start()
          && other.end().end() <= end().end();
    }

    int words() {
      return row.spans().subList(first, last + 1).stream()
          .mapToInt(span -> span.wording().words())
          .sum();
    }

    List<Long> wording() {
      return row.spans().subList(first, last + 1).stream()
          .map(span -> span.wording().hash())
          .toList();
    }

    /** Whether it is all that a method of one statement does. */
    boolean isBody() {
      return row.spans().size() == 1
          && begin().depth() == 0
          && row.owned().method().body().statements() == 1
          && words() >= BODY_WORDS;
    }

    /** Whether it is a list; within one method it says a thing or two over and over. */
    boolean isOneKind(boolean within) {
      int kinds = new HashSet<>(wording()).size();
      return last > first && (kinds == 1 || within && kinds * KIND <= last - first + 1);
    }

    boolean isWorthIt(boolean within) {
      List<Span> all = row.spans().subList(first, last + 1);
      int names = all.stream().mapToInt(span -> span.wording().names()).sum();
      int statements = row.statements().subList(first, last + 1).stream().mapToInt(i -> i).sum();
      return (words() >= RUN_WORDS && statements >= RUN_STATEMENTS || isBody())
          && names >= RUN_NAMES
          && !isOneKind(within);
    }
  }

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Map<List<Long>, Set<Run>> clusters = new LinkedHashMap<>();
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
    List<List<Run>> kept = withoutInner(clusters);
    Map<Set<String>, List<List<Run>>> byTypes = new LinkedHashMap<>();
    for (List<Run> cluster : kept) {
      Set<String> types = new TreeSet<>();
      cluster.forEach(run -> types.add(run.row().owned().type().name()));
      byTypes.computeIfAbsent(types, each -> new ArrayList<>()).add(cluster);
    }
    return byTypes.values().stream()
        .filter(each -> repeated(each) >= grounds.limits().duplicateWords())
        .map(each -> finding(each, grounds.limits()));
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
        .flatMap(owned -> rows(owned).stream())
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

  /** The blocks of a method. */
  private static List<Row> rows(Owned owned) {
    Map<String, Row> open = new LinkedHashMap<>();
    List<Span> all = owned.method().body().spans();
    for (int i = 0; i < all.size(); i++) {
      Span span = all.get(i);
      int within = 1;
      while (i + within < all.size() && all.get(i + within).depth() > span.depth()) {
        within++;
      }
      Row row =
          open.computeIfAbsent(
              span.block() + ":" + span.depth(),
              each -> new Row(owned, new ArrayList<>(), new ArrayList<>()));
      row.spans().add(span);
      row.statements().add(within);
    }
    return List.copyOf(open.values());
  }

  private static void pairs(
      List<Place> alike, Set<Long> common, Map<List<Long>, Set<Run>> clusters) {
    for (int i = 0; i < alike.size(); i++) {
      for (int j = i + 1; j < alike.size(); j++) {
        Place one = alike.get(i);
        Place other = alike.get(j);
        int before = common(one, other, common);
        if (before >= 0 && !isOverload(one.row().owned(), other.row().owned())) {
          one = one.back(before);
          other = other.back(before);
          int length = length(one, other);
          Run first = new Run(one.row(), one.index(), one.index() + length - 1);
          Run second = new Run(other.row(), other.index(), other.index() + length - 1);
          if (first.isWorthIt(one.row() == other.row())) {
            Set<Run> cluster =
                clusters.computeIfAbsent(first.wording(), each -> new LinkedHashSet<>());
            cluster.add(first);
            cluster.add(second);
          }
        }
      }
    }
  }

  /**
   * Two methods of one name in one class do the same for other types; and constructors copy fields.
   */
  private static boolean isOverload(Owned one, Owned other) {
    boolean copy = one.method().isConstructor() && other.method().isConstructor();
    return copy && one != other
        || one.type().equals(other.type())
            && one.method().name().equals(other.method().name())
            && !one.method().signature().equals(other.method().signature());
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

  private static long hash(Place place, int step) {
    return place.row().spans().get(place.index() + step).wording().hash();
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
  private static List<List<Run>> withoutInner(Map<List<Long>, Set<Run>> clusters) {
    List<List<Run>> sorted = new ArrayList<>();
    clusters.values().forEach(each -> sorted.add(apart(each)));
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

  /** Runs that do not overlap, in the order of the text. */
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

  /** How many words stand there that need not; what overloads say for other types has to. */
  private static int repeated(List<List<Run>> clusters) {
    return clusters.stream().mapToInt(each -> each.get(0).words() * (places(each) - 1)).sum();
  }

  private static int places(List<Run> cluster) {
    int places = 0;
    List<Owned> seen = new ArrayList<>();
    for (Run run : cluster) {
      Owned owned = run.row().owned();
      if (seen.stream().noneMatch(each -> isOverload(each, owned))) {
        places++;
      }
      seen.add(owned);
    }
    return places;
  }

  private static Finding finding(List<List<Run>> clusters, Limits limits) {
    List<Run> all = clusters.stream().flatMap(List::stream).toList();
    Run first = clusters.get(0).get(0);
    Set<String> types = new LinkedHashSet<>();
    Set<String> members = new LinkedHashSet<>();
    Set<String> identity = new TreeSet<>();
    for (Run run : all) {
      MethodFact method = run.row().owned().method();
      types.add(run.row().owned().type().name());
      members.add(method.signature());
      identity.add(run.row().owned().type().name() + "#" + method.signature());
    }
    int words = repeated(clusters);
    int places = clusters.stream().mapToInt(List::size).max().orElse(0);
    List<String> classes = types.stream().map(Finding::shortName).toList();
    return new Finding(
        Smell.DUPLICATE,
        Form.REPEATED,
        weight(words),
        first.row().owned().type().name(),
        List.copyOf(identity),
        List.copyOf(members),
        range(first),
        summary(clusters, members, classes, places),
        claim(clusters, classes, places),
        Evidence.of(
            List.of(
                new Evidence.Figure(
                    "words",
                    words,
                    limits.duplicateWords(),
                    "%d words repeat what stands elsewhere; from %d on they are worth a method"
                        .formatted(words, limits.duplicateWords())),
                new Evidence.Figure(
                    "places", places, 2, "in up to %d places each".formatted(places))),
            "The same, but for the names of variables and for literals:",
            rows(clusters)));
  }

  private static String summary(
      List<List<Run>> clusters, Set<String> members, List<String> classes, int places) {
    int lines = lines(clusters.get(0).get(0));
    boolean one = clusters.size() == 1;
    String what =
        (one ? Counted.of(lines, "line", "lines") : clusters.size() + " pieces of code")
            + (one && lines == 1 ? " stands " : " stand ");
    return classes.size() > 1
        ? what + "in %s, too".formatted(Listed.of(classes.subList(1, classes.size())))
        : what
            + "%s in %s"
                .formatted(
                    places == 2 ? "twice" : places + " times",
                    members.size() == 1
                        ? name(members.iterator().next())
                        : Counted.of(members.size(), "method", "methods"));
  }

  private static String claim(List<List<Run>> clusters, List<String> classes, int places) {
    String what = clusters.size() == 1 ? "The same code stands" : "The same pieces of code stand";
    return classes.size() > 1
        ? "%s in %s.".formatted(what, Listed.of(classes))
        : "%s %s in %s.".formatted(what, places == 2 ? "twice" : places + " times", classes.get(0));
  }

  private static String name(String signature) {
    return signature.replaceAll("\\(.*", "");
  }

  private static int lines(Run run) {
    return run.end().lastLine() - run.begin().firstLine() + 1;
  }

  private static Range range(Run run) {
    return new Range(
        run.row().owned().method().range().file(),
        new Range.Position(run.begin().firstLine(), 1),
        new Range.Position(run.end().lastLine() + 1, 1));
  }

  private static List<Evidence.Row> rows(List<List<Run>> clusters) {
    List<Evidence.Row> rows = new ArrayList<>();
    for (List<Run> cluster : clusters) {
      for (Run run : cluster) {
        Owned owned = run.row().owned();
        rows.add(
            Evidence.Row.at(
                range(run),
                owned.method().signature(),
                List.of(
                    "%s, %s"
                        .formatted(
                            Finding.shortName(owned.type().name()),
                            Counted.of(lines(run), "line", "lines")))));
      }
    }
    return rows;
  }

  /** 24 and more for every word that need not stand there: up to 26. */
  static int weight(int words) {
    return (int) Math.round(24 + 26 * (1 - 20.0 / Math.max(20, words)));
  }
}
