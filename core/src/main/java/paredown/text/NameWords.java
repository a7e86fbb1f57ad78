package paredown.text;

import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The words that names are made of. */
public final class NameWords {
  private static final Set<String> EMPTY_WORDS =
      Set.of(
          "is", "has", "get", "set", "the", "of", "to", "by", "for", "and", "in", "on", "with",
          "add", "can", "do", "from", "at", "as", "or", "not", "all", "new", "max", "min", "next",
          "over");

  /** Units tell how much of a thing there is, and not what it is. */
  private static final Set<String> UNITS =
      Set.of(
          "cent", "cents", "euros", "percent", "metres", "meters", "litres", "liters", "grams",
          "kilos", "tonnes", "seconds", "minutes", "hours", "days", "weeks", "months", "years",
          "millis", "nanos", "bytes", "chars", "pixels", "degrees", "mm", "cm", "km", "kg", "ms");

  /** What nearly everything has, so that it names nothing. */
  private static final Set<String> GENERAL =
      Set.of("name", "value", "size", "count", "number", "text", "data", "info", "list", "type");

  /** Where a word of a name ends and the next begins. */
  private static final Pattern SEAM =
      Pattern.compile("(?<=[\\p{Ll}\\d])(?=\\p{Lu})|(?<=\\p{Lu})(?=\\p{Lu}\\p{Ll})|_");

  private NameWords() {}

  /** The words of a name or signature in small letters, parameters left out. */
  public static List<String> of(String name) {
    String plain = name.indexOf('(') < 0 ? name : name.substring(0, name.indexOf('('));
    return Arrays.stream(SEAM.split(plain))
        .map(word -> word.toLowerCase(Locale.ROOT))
        .filter(word -> !word.isEmpty())
        .toList();
  }

  /** The words that say something, each once. */
  public static List<String> telling(String name) {
    return of(name).stream()
        .filter(word -> word.length() > 3 && !EMPTY_WORDS.contains(word) && !UNITS.contains(word))
        .distinct()
        .toList();
  }

  /** A name as that of a type, without the unit that it ends with: {@code Length} of lengthM. */
  public static String withoutUnit(String name) {
    List<String> words = of(name);
    int last = words.size() - 1;
    boolean unit = last > 0 && (words.get(last).length() == 1 || UNITS.contains(words.get(last)));
    return words.subList(0, unit ? last : last + 1).stream()
        .map(NameWords::capitalised)
        .collect(Collectors.joining());
  }

  /** The telling word that most of the names share: at least two of them, and half. */
  public static Optional<String> shared(List<String> names) {
    Map<String, Long> counts = counts(names);
    return counts.entrySet().stream()
        .filter(entry -> entry.getValue() >= 2 && entry.getValue() * 2 >= names.size())
        .max(Comparator.comparingLong(Map.Entry::getValue))
        .map(Map.Entry::getKey);
  }

  /** The words that all names begin with, as a name; empty where they say nothing alone. */
  public static Optional<String> leading(List<String> names) {
    List<String> first = of(names.get(0));
    int length = first.size();
    for (String name : names) {
      List<String> words = of(name);
      int same = 0;
      while (same < Math.min(length, words.size()) && words.get(same).equals(first.get(same))) {
        same++;
      }
      length = same;
    }
    List<String> words = first.subList(0, length);
    return EMPTY_WORDS.containsAll(words)
        ? Optional.empty()
        : Optional.of(
            words.get(0)
                + words.stream().skip(1).map(NameWords::capitalised).collect(Collectors.joining()));
  }

  /**
   * The word that tells some names from others: it stands in the most of them, and in hardly any of
   * the others. One that nearly everything has serves only where there is no other.
   */
  public static Optional<String> distinctive(List<String> names, List<String> others) {
    Map<String, Long> inside = counts(names);
    Map<String, Long> outside = counts(others);
    return inside.entrySet().stream()
        .filter(entry -> entry.getValue() > 2 * outside.getOrDefault(entry.getKey(), 0L))
        .max(
            Comparator.<Map.Entry<String, Long>, Boolean>comparing(
                    entry -> !GENERAL.contains(entry.getKey()))
                .thenComparingLong(
                    entry -> entry.getValue() - outside.getOrDefault(entry.getKey(), 0L)))
        .map(Map.Entry::getKey);
  }

  private static Map<String, Long> counts(List<String> names) {
    Map<String, Long> counts = new LinkedHashMap<>();
    names.forEach(name -> telling(name).forEach(word -> counts.merge(word, 1L, Long::sum)));
    return counts;
  }

  public static String capitalised(String word) {
    return word.isEmpty() ? word : Character.toUpperCase(word.charAt(0)) + word.substring(1);
  }
}
