package paredown.text;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;

class LexerTest {

  private static List<String> words(String text) {
    return Lexer.tokens(text).stream().map(t -> text.substring(t.start(), t.end())).toList();
  }

  @Test
  void partsWordsSignsAndLiterals() {
    assertEquals(
        List.of("int", "depth", "=", "0x1F", "+", "3.5e-2", ";"),
        words("int depth = 0x1F+3.5e-2;"));
  }

  @Test
  void readsAHexadecimalDigitAsNoExponent() {
    assertEquals(List.of("0xe", "+", "1"), words("0xe+1"));
  }

  @Test
  void keepsCommentsAndTellsTheirKinds() {
    List<Token> tokens = Lexer.tokens("/** doc */ /* block */ /**/ // line\nx");
    assertEquals(
        List.of(
            TokenKind.DOC_COMMENT,
            TokenKind.BLOCK_COMMENT,
            TokenKind.BLOCK_COMMENT,
            TokenKind.LINE_COMMENT,
            TokenKind.IDENTIFIER),
        tokens.stream().map(Token::kind).toList());
  }

  @Test
  void doesNotEndAStringAtAnEscapedQuote() {
    assertEquals(List.of("\"a\\\"b\"", "+", "'\\''"), words("\"a\\\"b\" + '\\''"));
  }

  @Test
  void readsATextBlockAsOneLiteral() {
    assertEquals(
        List.of("\"\"\"\n a \"quoted\" \\\"\"\" b\n\"\"\"", ";"),
        words("\"\"\"\n a \"quoted\" \\\"\"\" b\n\"\"\";"));
  }

  @Test
  void takesUnicodeEscapesIntoWords() {
    assertEquals(List.of("t\\u0069de", "=", "_1"), words("t\\u0069de = _1"));
  }

  @Test
  void neverFailsOnWhatIsNoJava() {
    assertTrue(words("# € \u0000 \"open").size() >= 3);
  }
}
