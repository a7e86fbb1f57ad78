package paredown.text;

import java.util.Locale;

/** Things with their number, as they are said in a sentence. */
public final class Counted {
  private Counted() {}

  /** A number, its thousands apart, and the word that goes with it. */
  public static String of(long number, String one, String several) {
    return String.format(Locale.ROOT, "%,d %s", number, number == 1 ? one : several);
  }
}
