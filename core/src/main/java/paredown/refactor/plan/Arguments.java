package paredown.refactor.plan;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.stream.Collectors;
import paredown.UnusableRequest;
import paredown.refactor.RefusalKind;

/** Arguments of a command as they are typed. */
public final class Arguments {
  /** What stands between the commands of steps that are one change. */
  public static final String AND = " && ";

  private Arguments() {}

  /** A word, within quotes where a shell would take some of its signs for its own. */
  public static String quoted(String word) {
    return word.matches("[\\w.,:/-]+") ? word : "'" + word.replace("'", "'\\''") + "'";
  }

  /**
   * The words of a command, as a shell would take them apart.
   *
   * @throws UnusableRequest where a quote is never closed
   */
  public static List<String> words(String command) {
    List<String> words = new ArrayList<>();
    StringBuilder word = null;
    char quote = 0;
    for (int i = 0; i < command.length(); i++) {
      char sign = command.charAt(i);
      boolean opens = quote == 0 && (sign == '\'' || sign == '"');
      boolean escapes = sign == '\\' && quote != '\'' && i + 1 < command.length();
      if (quote == 0 && Character.isWhitespace(sign)) {
        if (word != null) {
          words.add(word.toString());
        }
        word = null;
        continue;
      }
      word = word == null ? new StringBuilder() : word;
      if (opens || sign == quote) {
        quote = opens ? sign : 0;
      } else {
        word.append(escapes ? command.charAt(++i) : sign);
      }
    }
    if (quote != 0) {
      throw new UnusableRequest(
          "A quote is never closed: " + command, "Close it with another " + quote + ".");
    }
    if (word != null) {
      words.add(word.toString());
    }
    return words;
  }

  /** The options that overrule kinds of refusal, each with a space in front; mostly empty. */
  public static String accepting(Collection<RefusalKind> kinds) {
    return kinds.stream()
        .sorted()
        .map(kind -> " --accept " + kind.id())
        .collect(Collectors.joining());
  }
}
