package paredown.bench.planted;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The adjusted Rand index of two ways to divide the same things: 1 where they agree, about 0 where
 * they agree by chance only. Hubert and Arabie, "Comparing partitions", 1985.
 */
public final class RandIndex {
  private RandIndex() {}

  /** The index of two lists of labels, of the same length. */
  public static double of(List<String> one, List<String> other) {
    Map<String, Integer> both = new HashMap<>();
    Map<String, Integer> rows = new HashMap<>();
    Map<String, Integer> columns = new HashMap<>();
    for (int i = 0; i < one.size(); i++) {
      both.merge(one.get(i) + "\n" + other.get(i), 1, Integer::sum);
      rows.merge(one.get(i), 1, Integer::sum);
      columns.merge(other.get(i), 1, Integer::sum);
    }
    double together = pairs(both);
    double a = pairs(rows);
    double b = pairs(columns);
    double all = one.size() * (one.size() - 1) / 2.0;
    double expected = a * b / all;
    double most = (a + b) / 2;
    return most == expected ? 1 : (together - expected) / (most - expected);
  }

  private static double pairs(Map<String, Integer> counts) {
    return counts.values().stream().mapToDouble(n -> n * (n - 1) / 2.0).sum();
  }
}
