package paredown.text;

/** The kind of a token: the lexical categories of the Java Language Specification, chapter 3. */
public enum TokenKind {
  IDENTIFIER,
  KEYWORD,
  LITERAL,
  SEPARATOR,
  LINE_COMMENT,
  BLOCK_COMMENT,
  DOC_COMMENT;

  public boolean isComment() {
    return this == LINE_COMMENT || this == BLOCK_COMMENT || this == DOC_COMMENT;
  }
}
