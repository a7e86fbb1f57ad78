package paredown.remedy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import paredown.text.NameWords;

/** Things that everybody has a name for, known by the names of what they are made of. */
final class KnownThing {
  private static final List<Map.Entry<String, Set<String>>> PARTS =
      List.of(
          Map.entry(
              "Address",
              Set.of(
                  "street",
                  "house",
                  "lane",
                  "road",
                  "village",
                  "town",
                  "city",
                  "postcode",
                  "zip",
                  "postal",
                  "country",
                  "region",
                  "county")),
          Map.entry("Span", Set.of("from", "until", "to", "till", "since")),
          Map.entry("Period", Set.of("start", "begin", "end", "starts", "ends")),
          Map.entry(
              "Range",
              Set.of("min", "max", "minimum", "maximum", "low", "high", "lowest", "highest")),
          Map.entry("Position", Set.of("lat", "lon", "lng", "latitude", "longitude", "altitude")),
          Map.entry("Point", Set.of("x", "y", "z")),
          Map.entry("Size", Set.of("width", "height", "length")),
          Map.entry(
              "Rectangle",
              Set.of("x", "y", "left", "top", "right", "bottom", "width", "height", "depth")),
          Map.entry("Colour", Set.of("red", "green", "blue", "alpha")),
          Map.entry("Margins", Set.of("top", "left", "bottom", "right")),
          Map.entry("Date", Set.of("year", "month", "day")),
          Map.entry("Time", Set.of("day", "hour", "minute", "second", "millisecond", "nano")),
          Map.entry("Locale", Set.of("language", "country", "variant", "script")),
          Map.entry("Money", Set.of("amount", "cents", "currency")),
          Map.entry("Contact", Set.of("phone", "email", "fax", "mail", "mobile", "telephone")),
          Map.entry("Credentials", Set.of("user", "username", "login", "password")),
          Map.entry("Endpoint", Set.of("host", "port", "scheme")),
          Map.entry(
              "Connection",
              Set.of("host", "port", "scheme", "user", "username", "login", "password")),
          Map.entry("Version", Set.of("major", "minor", "patch")));

  /** What has two ends may have several parts at each: {@code startHour, startMinute, endHour}. */
  private static final Set<String> TWO_ENDED = Set.of("Span", "Period", "Range");

  private static final Set<List<String>> AXES = Set.of(List.of("x"), List.of("y"));

  private KnownThing() {}

  /**
   * What members make together that are called alike besides, all but one at most, which says more
   * closely what it is, unless it is a name: {@code MeadowSpan} of meadow, from and until.
   */
  static Optional<String> of(List<String> members) {
    return PARTS.stream()
        .flatMap(each -> named(each.getKey(), each.getValue(), members).stream())
        .findFirst();
  }

  private static Optional<String> named(String name, Set<String> parts, List<String> members) {
    List<String> others = new ArrayList<>();
    Set<List<String>> rests = new HashSet<>();
    Set<String> ends = new HashSet<>();
    for (String member : members) {
      List<String> words = NameWords.of(member);
      int last = words.size() - 1;
      if (parts.contains(words.get(last))) {
        rests.add(words.subList(0, last));
        ends.add(words.get(last));
      } else if (parts.contains(words.get(0))) {
        rests.add(words.subList(1, words.size()));
        ends.add(words.get(0));
      } else {
        others.add(member);
      }
    }
    if (name.equals("Range") && others.isEmpty() && rests.equals(AXES)) {
      return Optional.of("Bounds");
    }
    boolean both =
        TWO_ENDED.contains(name)
            && others.isEmpty()
            && ends.size() == 2
            && rests.size() * 2 == members.size();
    boolean one =
        members.size() - others.size() >= 2 && others.size() <= 1 && (rests.size() == 1 || both);
    if (!one) {
      return Optional.empty();
    }
    boolean plain = others.isEmpty() || others.get(0).equals("name");
    return Optional.of(plain ? name : NameWords.withoutUnit(others.get(0)) + name);
  }
}
