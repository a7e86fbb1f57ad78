package paredown.edit;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What an instance has become: code that said {@code this} of one class says it of another now.
 *
 * @param oldType binary name of the class it was
 * @param newType binary name of the class it is
 * @param variables the type variables, by their names, that are other types in the code now, and
 *     these as they are shown; mostly none
 */
public record Self(String oldType, String newType, Map<String, String> variables) {
  private static final Pattern WORD = Pattern.compile("(?<![\\w.$])[\\p{L}_$][\\w$]*(?![\\w.$])");

  public Self {
    variables = Map.copyOf(variables);
  }

  /** One whose type variables are the same. */
  public Self(String oldType, String newType) {
    this(oldType, newType, Map.of());
  }

  /** A type as it is shown now; the same where it names none of the variables. */
  public String typed(String shown) {
    if (variables.isEmpty()) {
      return shown;
    }
    Matcher words = WORD.matcher(shown);
    return words.replaceAll(
        word -> Matcher.quoteReplacement(variables.getOrDefault(word.group(), word.group())));
  }
}
