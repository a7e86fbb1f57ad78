package paredown.text;

/** The indefinite article that a word has in a sentence. */
public final class Article {
  private Article() {}

  /** {@code a} or {@code an}, by the first letter of a word. */
  public static String of(String word) {
    return !word.isEmpty() && "aeiouAEIOU".indexOf(word.charAt(0)) >= 0 ? "an" : "a";
  }

  /** A word behind its article: {@code an Option}. */
  public static String with(String word) {
    return of(word) + " " + word;
  }
}
