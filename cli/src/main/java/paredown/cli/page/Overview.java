package paredown.cli.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import paredown.facts.TypeFact;
import paredown.session.Survey;
import paredown.smell.Finding;

/** The overview shows each package as a row, and its classes as bars by their size. */
public final class Overview {
  private static final int WIDEST = 160;
  private static final int NARROWEST = 6;

  private Overview() {}

  /** A package and its top-level classes, the heaviest finding first. */
  public record Row(String name, List<Bar> bars) {
    int weight() {
      return bars.stream().mapToInt(Bar::weight).max().orElse(0);
    }
  }

  /**
   * A class.
   *
   * @param width in pixels, by its lines
   * @param weight of its heaviest finding; 0 without one
   * @param anchor the section of that finding; empty where it has none
   */
  public record Bar(String name, int lines, int width, int weight, String anchor) {}

  static List<Row> of(Survey survey, List<Finding> shown) {
    Map<String, Finding> worst = new HashMap<>();
    survey
        .findings()
        .forEach(finding -> worst.merge(outermost(finding.type()), finding, Overview::heavier));
    int longest = survey.facts().types().stream().mapToInt(Overview::lines).max().orElse(1);
    Map<String, List<Bar>> packages = new TreeMap<>();
    for (TypeFact type : survey.facts().types()) {
      if (type.outer().isEmpty()) {
        Finding finding = worst.get(type.name());
        int weight = finding == null ? 0 : finding.weight();
        String anchor = finding != null && shown.contains(finding) ? finding.id() : "";
        int dot = type.name().lastIndexOf('.');
        int width = Math.max(NARROWEST, (int) (WIDEST * Math.sqrt((double) lines(type) / longest)));
        packages
            .computeIfAbsent(
                dot < 0 ? "(none)" : type.name().substring(0, dot), p -> new ArrayList<>())
            .add(new Bar(type.simpleName(), lines(type), width, weight, anchor));
      }
    }
    List<Row> rows = new ArrayList<>();
    packages.forEach(
        (name, bars) -> {
          bars.sort(
              Comparator.comparingInt(Bar::weight)
                  .reversed()
                  .thenComparing(Comparator.comparingInt(Bar::lines).reversed()));
          rows.add(new Row(name, List.copyOf(bars)));
        });
    rows.sort(Comparator.comparingInt(Row::weight).reversed().thenComparing(Row::name));
    return rows;
  }

  private static Finding heavier(Finding one, Finding other) {
    return other.weight() > one.weight() ? other : one;
  }

  private static int lines(TypeFact type) {
    return type.range().lines();
  }

  /** The top-level class of a name: the first part that begins with a capital letter. */
  private static String outermost(String type) {
    String shortName = Finding.shortName(type);
    int dot = shortName.indexOf('.');
    return dot < 0 ? type : type.substring(0, type.length() - shortName.length() + dot);
  }
}
