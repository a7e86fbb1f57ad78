package paredown.project;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** The names nearest to a misspelt one, by edit distance (Levenshtein, 1966). */
public final class Nearest {
  private static final LevenshteinDistance DISTANCE = LevenshteinDistance.getDefaultInstance();

  private Nearest() {}

  /** At most three known names, nearest first; empty where none is near. */
  public static List<String> to(String misspelt, Collection<String> known) {
    String wanted = misspelt.toLowerCase();
    int limit = Math.max(2, misspelt.length() / 2);
    return known.stream()
        .distinct()
        .filter(name -> distance(wanted, name) <= limit)
        .sorted(
            Comparator.<String>comparingInt(name -> distance(wanted, name))
                .thenComparing(Comparator.naturalOrder()))
        .limit(3)
        .toList();
  }

  private static int distance(String wanted, String name) {
    String whole = name.toLowerCase();
    String simple = whole.substring(Math.max(whole.lastIndexOf('.'), whole.lastIndexOf('#')) + 1);
    return Math.min(DISTANCE.apply(wanted, whole), DISTANCE.apply(wanted, simple));
  }

  /** An advice that names the nearest, or what else to do where none is near. */
  public static String advice(String misspelt, Collection<String> known, String otherwise) {
    List<String> near = to(misspelt, known);
    return near.isEmpty() ? otherwise : "Did you mean " + String.join(" or ", near) + "?";
  }
}
