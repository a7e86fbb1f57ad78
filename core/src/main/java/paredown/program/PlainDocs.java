package paredown.program;

import paredown.text.SourceText;

/**
 * Lets documentation comments look like any other comment, so that the compiler passes over them:
 * reading them takes it a twelfth of its time. Everything else keeps its place. What a text block
 * holds may change by this, which no name depends on.
 */
final class PlainDocs {
  private static final String OPENING = "/**";

  private PlainDocs() {}

  /** A text of the same length, in which comments that begin a line document nothing. */
  static CharSequence of(SourceText source) {
    String text = source.text();
    StringBuilder plain = null;
    for (int at = text.indexOf(OPENING); at >= 0; at = text.indexOf(OPENING, at + 1)) {
      if (source.startsLine(at) && !text.startsWith("/", at + OPENING.length())) {
        plain = plain == null ? new StringBuilder(text) : plain;
        plain.setCharAt(at + OPENING.length() - 1, ' ');
      }
    }
    return plain == null ? text : plain;
  }
}
