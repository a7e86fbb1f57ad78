package paredown.session;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.program.Sources;
import paredown.project.ProjectUnreadable;
import paredown.project.Settings;

/**
 * Chains of classes each of which extends the next. The compiler looks from each class at all above
 * it, for each method again, so that a very deep chain would keep it busy for hours.
 */
final class DeepChains {
  /** Nobody writes so many levels; the compiler takes a quarter of a minute for them. */
  private static final int MOST = 500;

  private static final String WORD = "extends";

  /** The most characters of a head before the word. */
  private static final int HEAD = 300;

  private static final Pattern TYPE = Pattern.compile("\\b(?:class|interface)\\s+(\\w+)[^{;()]*");
  private static final Pattern ABOVE = Pattern.compile("\\s+(?:\\w+\\.)*(\\w+)");

  private DeepChains() {}

  /** A class, the one that it extends, and its file. */
  private record Link(String type, String above, String file) {}

  /**
   * Requires that no chain is deeper than the compiler can take.
   *
   * @throws ProjectUnreadable where one is
   */
  static void requireNone(Sources sources, List<String> files) {
    List<Link> links =
        files.parallelStream().flatMap(file -> links(sources, file).stream()).toList();
    if (links.size() <= MOST) {
      return;
    }
    Map<String, String> above = new HashMap<>();
    links.forEach(link -> above.putIfAbsent(link.type(), link.above()));
    Map<String, Integer> levels = new HashMap<>();
    for (Link link : links) {
      if (levels(link.type(), above, levels) > MOST) {
        throw new ProjectUnreadable(
            "Classes in %s extend each other in more than %d levels, for which the compiler takes very long."
                .formatted(link.file(), MOST),
            "Leave them out with exclude: in " + Settings.FILE + ".");
      }
    }
  }

  private static List<Link> links(Sources sources, String file) {
    List<Link> links = new ArrayList<>();
    String text = sources.text(file).text();
    Matcher type = TYPE.matcher(text);
    Matcher above = ABOVE.matcher(text);
    // A search for plain words is many times faster than one for the whole head.
    for (int at = text.indexOf(WORD); at >= 0; at = text.indexOf(WORD, at + 1)) {
      String before = text.substring(Math.max(0, at - HEAD), at);
      int begin = Math.max(before.lastIndexOf("class"), before.lastIndexOf("interface"));
      if (begin >= 0 && isOutside(before.substring(begin))) {
        type.region(at - before.length() + begin, at);
        above.region(at + WORD.length(), text.length());
        if (type.matches() && above.lookingAt()) {
          links.add(new Link(type.group(1), above.group(1), file));
        }
      }
    }
    return links;
  }

  /** Whether what follows a head is no bound of one of its type variables. */
  private static boolean isOutside(String head) {
    return head.chars().map(each -> each == '<' ? 1 : each == '>' ? -1 : 0).sum() == 0;
  }

  /** How many classes stand above one, as far as that matters; names that go round end it. */
  private static int levels(String type, Map<String, String> above, Map<String, Integer> known) {
    Set<String> way = new LinkedHashSet<>();
    String at = type;
    while (at != null && !known.containsKey(at) && way.size() <= MOST && way.add(at)) {
      at = above.get(at);
    }
    int levels = at == null ? 0 : known.getOrDefault(at, 0);
    List<String> upwards = new ArrayList<>(way);
    Collections.reverse(upwards);
    for (String each : upwards) {
      known.put(each, ++levels);
    }
    return levels;
  }
}
