package paredown.gate;

import java.util.regex.Pattern;
import paredown.edit.Meaning;

/** What a symbol is called in a sentence: its key without packages and offsets. */
final class Spoken {
  private static final Pattern PACKAGES = Pattern.compile("\\b(?:[a-z_]\\w*\\.)+(?=[A-Z])");
  private static final Pattern ARGUMENTS = Pattern.compile(",(?=\\S)");

  private Spoken() {}

  /** What a key stands for, {@code method Desk#say(String)}. */
  static String of(String key) {
    if (key.startsWith("local ")) {
      return "a local variable";
    }
    String word = key.replaceFirst("^tvar ", "type variable ").replaceFirst("^this of ", "a ");
    String bare = PACKAGES.matcher(word).replaceAll("");
    return ARGUMENTS.matcher(bare).replaceAll(", ").replace('$', '.');
  }

  static String of(Meaning meaning) {
    if (meaning instanceof Meaning.Symbol symbol) {
      return of(symbol.key());
    }
    return meaning instanceof Meaning.Existing existing
        ? of(existing.key())
        : "the variable " + ((Meaning.Local) meaning).name();
  }
}
