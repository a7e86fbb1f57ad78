package paredown.text;

import java.util.regex.Pattern;

/** A whole word is a name that is no part of a longer one. */
public final class WholeWord {
  private WholeWord() {}

  /** Finds a name. */
  public static Pattern of(String name) {
    return matching(Pattern.quote(name));
  }

  /** Finds what an expression matches. */
  public static Pattern matching(String expression) {
    return Pattern.compile("(?<![\\w$])" + expression + "(?![\\w$])");
  }
}
