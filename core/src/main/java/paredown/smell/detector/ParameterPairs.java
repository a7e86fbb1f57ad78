package paredown.smell.detector;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import paredown.facts.MethodFact;
import paredown.smell.ClosedSets;
import paredown.smell.Owned;
import paredown.smell.Values;

/** Two parameters of one list that may be a thing: the ends of a range, or an inseparable pair. */
final class ParameterPairs {
  /** How many make a pair. */
  static final int TWO = 2;

  private static final int PLACES = 5;
  private static final int CLASSES = 3;

  /** Shorter names say little, and stand everywhere. */
  private static final int SHORT = 2;

  /** Of so many lists that have one of a pair ... */
  private static final int LISTS = 5;

  /** ... so many have both. */
  private static final int TOGETHER = 4;

  /** Of these types two that are passed together are the ends of a range. */
  private static final Set<String> MEASURES =
      Set.of(
          "LocalDate",
          "LocalDateTime",
          "LocalTime",
          "Instant",
          "ZonedDateTime",
          "OffsetDateTime",
          "YearMonth",
          "Date",
          "BigDecimal");

  /**
   * A stretch of something that is at hand besides is no thing of its own, nor are two operands.
   */
  private static final Pattern STRETCH =
      Pattern.compile(
          "(?:start|begin|end|from|to|off|offset|len|length|pos|position|index|count|size|limit|max"
              + "|min|left|right|first|last|second|other|minuend|subtrahend)(?:Index|Pos|Offset)?");

  private final List<Owned> methods;
  private final Values values;

  /**
   * The pairs of some methods.
   *
   * @param methods those that choose their parameters themselves
   */
  ParameterPairs(List<Owned> methods, Values values) {
    this.methods = methods;
    this.values = values;
  }

  /** The methods that take the ends of a range, and these. */
  Map<Owned, Set<String>> ranges() {
    Map<Owned, Set<String>> ranges = new LinkedHashMap<>();
    methods.forEach(owned -> ranges.put(owned, ends(owned.method())));
    return ranges;
  }

  /** Two parameters of one measure; none where there are fewer or more. */
  private static Set<String> ends(MethodFact method) {
    List<MethodFact.Parameter> ends =
        method.parameters().stream()
            .filter(each -> MEASURES.contains(each.type()) && each.name().length() > 1)
            .toList();
    return ends.size() == TWO && ends.get(0).type().equals(ends.get(1).type())
        ? ParameterClumps.items(ends)
        : Set.of();
  }

  /**
   * The methods that take two values one beside the other that hardly any list has alone, and
   * these.
   */
  Map<Owned, Set<String>> inseparable() {
    Map<Set<String>, Map<Owned, Set<String>>> pairs = new LinkedHashMap<>();
    Map<String, Integer> lists = new HashMap<>();
    for (Owned owned : methods) {
      List<MethodFact.Parameter> all = owned.method().parameters();
      ParameterClumps.items(all).forEach(item -> lists.merge(item, 1, Integer::sum));
      for (int i = 0; i + 1 < all.size(); i++) {
        List<MethodFact.Parameter> pair = all.subList(i, i + TWO);
        if (pair.stream().allMatch(this::tells)) {
          Set<String> items = ParameterClumps.items(pair);
          pairs.computeIfAbsent(items, each -> new LinkedHashMap<>()).put(owned, items);
        }
      }
    }
    Map<Owned, Set<String>> found = new LinkedHashMap<>();
    pairs.forEach(
        (pair, places) -> {
          int most = pair.stream().mapToInt(lists::get).max().orElse(0);
          if (places.size() * LISTS >= most * TOGETHER) {
            places.forEach(found::putIfAbsent);
          }
        });
    return found;
  }

  private boolean tells(MethodFact.Parameter parameter) {
    return values.isValue(parameter.type())
        && parameter.name().length() > SHORT
        && !STRETCH.matcher(parameter.name()).matches();
  }

  /** Whether a pair is passed in so many places and classes that it wants a name. */
  static boolean isEverywhere(ClosedSets.Closed<Owned> pair) {
    return pair.places().size() >= PLACES
        && pair.places().stream().map(Owned::type).distinct().count() >= CLASSES;
  }
}
