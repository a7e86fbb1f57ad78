package paredown.text;

/**
 * A token is the smallest meaningful range of a source text: a word, a literal, a sign or a
 * comment.
 *
 * @param start offset of its first character
 * @param end offset behind its last character
 */
public record Token(TokenKind kind, int start, int end) {

  public boolean isIdentifier() {
    return kind == TokenKind.IDENTIFIER;
  }

  public boolean covers(int offset) {
    return start <= offset && offset < end;
  }

  /** Whether it is a literal, text blocks among them. */
  public boolean isLiteral() {
    return kind == TokenKind.LITERAL;
  }
}
