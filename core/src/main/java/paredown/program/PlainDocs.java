package paredown.program;

/**
 * Lets documentation comments look like any other comment, so that the compiler passes over them:
 * reading them takes it a twelfth of its time. Everything else keeps its place. What a text block
 * holds may change by this, which no name depends on.
 */
final class PlainDocs {
  private static final String OPENING = "/**";

  private PlainDocs() {}

  /** A text of the same length, in which comments that begin a line document nothing. */
  static CharSequence of(String text) {
    StringBuilder plain = null;
    for (int at = text.indexOf(OPENING); at >= 0; at = text.indexOf(OPENING, at + 1)) {
      if (startsLine(text, at) && !text.startsWith("/", at + OPENING.length())) {
        plain = plain == null ? new StringBuilder(text) : plain;
        plain.setCharAt(at + OPENING.length() - 1, ' ');
      }
    }
    return plain == null ? text : plain;
  }

  private static boolean startsLine(String text, int offset) {
    int before = offset - 1;
    while (before >= 0 && (text.charAt(before) == ' ' || text.charAt(before) == '\t')) {
      before--;
    }
    return before < 0 || text.charAt(before) == '\n' || text.charAt(before) == '\r';
  }
}
