package paredown.smell.detector;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.facts.MethodFact;
import paredown.facts.Range;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Limits;
import paredown.smell.Owned;
import paredown.smell.Smell;
import paredown.text.Counted;
import paredown.text.Listed;

/** What is said of runs that stand in several places. */
final class Repeated {
  private Repeated() {}

  /**
   * Two methods of one name in one class do the same for other types; and constructors copy fields.
   */
  static boolean isOverload(Owned one, Owned other) {
    boolean copy = one.method().isConstructor() && other.method().isConstructor();
    return copy && one != other
        || one.type().equals(other.type())
            && one.method().name().equals(other.method().name())
            && !one.method().signature().equals(other.method().signature());
  }

  /** How many words stand there that need not; what overloads say for other types has to. */
  static int words(List<List<Run>> clusters) {
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

  static Finding finding(List<List<Run>> clusters, Limits limits) {
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
    int words = words(clusters);
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
