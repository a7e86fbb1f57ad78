package paredown.smell;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The findings that are worth a first look: strong ones, and few of each smell. */
public final class FirstScreen {
  /** The weight from which a finding is strong. */
  public static final int STRONG = 30;

  private static final int OF_ONE = 4;
  private static final int MOST = 15;

  /** A screen of fewer findings has room for weaker ones. */
  private static final int FEW = 3;

  /** What weighs less is no more than usual, unless it is small by nature. */
  private static final int SLIGHT = 20;

  private FirstScreen() {}

  /**
   * The strong findings, of each class and smell the weightiest, and a few of each smell, as many
   * as fit a screen.
   *
   * @param findings heaviest first
   */
  public static List<Finding> of(List<Finding> findings) {
    Map<Smell, Integer> count = new EnumMap<>(Smell.class);
    return strong(findings).stream()
        .filter(finding -> count.merge(finding.smell(), 1, Integer::sum) <= OF_ONE)
        .limit(MOST)
        .toList();
  }

  /**
   * What follows where a first screen has hardly anything to show: the heaviest of the rest, slight
   * ones and those of smaller smells among them.
   *
   * @param shown the first screen
   * @param all heaviest first
   */
  public static List<Finding> further(List<Finding> shown, List<Finding> all) {
    Set<String> seen = new HashSet<>();
    shown.forEach(finding -> seen.add(kind(finding)));
    return all.stream()
        .filter(finding -> finding.weight() >= SLIGHT || finding.smell().isSmaller())
        .filter(finding -> seen.add(kind(finding)))
        .limit(Math.max(0, FEW - shown.size()))
        .toList();
  }

  /** The strong findings, of each class and smell the weightiest. */
  public static List<Finding> strong(List<Finding> findings) {
    Set<String> seen = new HashSet<>();
    return findings.stream()
        .filter(finding -> finding.weight() >= STRONG && !finding.smell().isSmaller())
        .filter(finding -> seen.add(kind(finding)))
        .toList();
  }

  /** The smell and the class of a finding: of those that share them, one is shown. */
  public static String kind(Finding finding) {
    return finding.smell().id() + " " + finding.type();
  }
}
