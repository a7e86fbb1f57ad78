package paredown.text;

/** A text hash is a number of 64 bits that two different texts hardly ever share. */
public final class TextHash {
  private static final long START = 7;

  private TextHash() {}

  public static long of(CharSequence text) {
    long hash = START;
    for (int i = 0; i < text.length(); i++) {
      hash = hash * 1_000_003 + text.charAt(i);
    }
    return hash;
  }
}
