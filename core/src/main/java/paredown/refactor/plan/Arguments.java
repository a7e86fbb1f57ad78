package paredown.refactor.plan;

import java.util.Collection;
import java.util.stream.Collectors;
import paredown.refactor.RefusalKind;

/** Arguments of a command as they are typed. */
public final class Arguments {
  private Arguments() {}

  /** A word, within quotes where a shell would take some of its signs for its own. */
  public static String quoted(String word) {
    return word.matches("[\\w.,:/-]+") ? word : "'" + word + "'";
  }

  /** The options that overrule kinds of refusal, each with a space in front; mostly empty. */
  public static String accepting(Collection<RefusalKind> kinds) {
    return kinds.stream()
        .sorted()
        .map(kind -> " --accept " + kind.id())
        .collect(Collectors.joining());
  }
}
