package paredown.program;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Aliases are names of types that stand for others in keys, so that a renamed type is the same. */
public final class Aliases {
  static final Aliases NONE = new Aliases(Map.of());

  private final Map<Pattern, String> names = new LinkedHashMap<>();
  private final Map<String, String> binary;
  private final Map<Pattern, String> canonical = new LinkedHashMap<>();

  /**
   * Aliases of types.
   *
   * @param names binary names, and the binary name that stands for each
   */
  public Aliases(Map<String, String> names) {
    this.binary = Map.copyOf(names);
    names.forEach(this::add);
  }

  private void add(String name, String alias) {
    names.put(whole(name), alias);
    names.put(whole(name.replace('$', '.')), alias.replace('$', '.'));
    canonical.put(whole(name.replace('$', '.')), alias.replace('$', '.'));
  }

  private static Pattern whole(String name) {
    return Pattern.compile("(?<![\\w.$#])" + Pattern.quote(name) + "(?!\\w)");
  }

  /** A text of names of both kinds, with the aliases in it. */
  public String in(String text) {
    return in(text, names);
  }

  /** A text of canonical names, with the aliases in it. */
  String inCanonical(String text) {
    return in(text, canonical);
  }

  /** A binary name, or the one that stands for it. */
  String ofBinary(String name) {
    return binary.getOrDefault(name, name);
  }

  private static String in(String text, Map<Pattern, String> names) {
    String aliased = text;
    for (Map.Entry<Pattern, String> each : names.entrySet()) {
      aliased =
          each.getKey().matcher(aliased).replaceAll(Matcher.quoteReplacement(each.getValue()));
    }
    return aliased;
  }
}
