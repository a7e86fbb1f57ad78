package paredown.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import paredown.text.TextHash;

/**
 * The divisions of large parts of classes, each kept by what it was worked out from, since that
 * takes long and mostly comes to the same.
 */
public final class Divisions {
  /** Counts up where what is worked out becomes another. */
  private static final String VERSION = "1";

  private static final String BETWEEN_SETS = "\u0001";
  private static final String BETWEEN_MEMBERS = "\u0002";

  private final Map<Long, List<Set<String>>> known;
  private final Map<Long, List<Set<String>>> asked = new ConcurrentHashMap<>();

  private Divisions(Map<Long, List<Set<String>>> known) {
    this.known = known;
  }

  /** Divisions of which none is known yet. */
  public static Divisions none() {
    return new Divisions(Map.of());
  }

  /** Those that were kept as text; none where that is of another version. */
  public static Divisions parse(String text) {
    Map<Long, List<Set<String>>> known = new TreeMap<>();
    String[] lines = text.split("\n");
    for (int i = 1; i < lines.length && lines[0].equals(VERSION); i++) {
      int tab = lines[i].indexOf('\t');
      List<Set<String>> sets = new ArrayList<>();
      for (String set : lines[i].substring(tab + 1).split(BETWEEN_SETS)) {
        sets.add(new TreeSet<>(Arrays.asList(set.split(BETWEEN_MEMBERS))));
      }
      known.put(Long.parseLong(lines[i].substring(0, tab)), sets);
    }
    return new Divisions(known);
  }

  /** Those that were asked for since, as text. */
  public String text() {
    StringBuilder text = new StringBuilder(VERSION).append('\n');
    new TreeMap<>(asked)
        .forEach(
            (key, sets) ->
                text.append(key)
                    .append('\t')
                    .append(
                        String.join(
                            BETWEEN_SETS,
                            sets.stream().map(each -> String.join(BETWEEN_MEMBERS, each)).toList()))
                    .append('\n'));
    return text.toString();
  }

  /** Whether something was asked for that is not what was known. */
  public boolean isOther() {
    return !asked.keySet().equals(known.keySet());
  }

  /**
   * A division.
   *
   * @param from all that it is worked out from
   * @param work gives it where it is not known
   * @return sets that may be changed, in the order of the division
   */
  List<Set<String>> of(String from, Supplier<List<Set<String>>> work) {
    long key = TextHash.of(from);
    List<Set<String>> found = asked.get(key);
    if (found == null) {
      found = known.containsKey(key) ? known.get(key) : work.get();
      asked.put(key, found);
    }
    List<Set<String>> copies = new ArrayList<>();
    found.forEach(set -> copies.add(new TreeSet<>(set)));
    return copies;
  }
}
