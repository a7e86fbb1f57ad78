package paredown.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * A lexer splits Java source text into tokens, comments included and white space left out.
 *
 * <p>It follows chapter 3 of the Java Language Specification. Text that is no Java is never an
 * error: what cannot be understood becomes a one-character separator.
 */
public final class Lexer {
  private static final Set<String> KEYWORDS =
      Set.of(
          "abstract",
          "assert",
          "boolean",
          "break",
          "byte",
          "case",
          "catch",
          "char",
          "class",
          "const",
          "continue",
          "default",
          "do",
          "double",
          "else",
          "enum",
          "extends",
          "final",
          "finally",
          "float",
          "for",
          "goto",
          "if",
          "implements",
          "import",
          "instanceof",
          "int",
          "interface",
          "long",
          "native",
          "new",
          "package",
          "private",
          "protected",
          "public",
          "return",
          "short",
          "static",
          "strictfp",
          "super",
          "switch",
          "synchronized",
          "this",
          "throw",
          "throws",
          "transient",
          "try",
          "void",
          "volatile",
          "while",
          "_",
          "true",
          "false",
          "null");

  private static final int LONGEST_KEYWORD = 12;

  private final String text;
  private final char[] chars;
  private final List<Token> tokens = new ArrayList<>();
  private int at;

  private Lexer(String text) {
    this.text = text;
    this.chars = text.toCharArray();
  }

  /** The tokens of a text in their order. */
  public static List<Token> tokens(String text) {
    Lexer lexer = over(text);
    boolean more = true;
    while (more) {
      more = lexer.next();
    }
    return lexer.read();
  }

  /** A lexer that stands before a text. */
  public static Lexer over(String text) {
    return new Lexer(text);
  }

  /** Whether a word is reserved, so that nothing can be named by it. */
  public static boolean isKeyword(String word) {
    return KEYWORDS.contains(word);
  }

  /** The tokens that it has read so far. */
  public List<Token> read() {
    return tokens;
  }

  /** Reads one token; false where there is none any more. */
  public boolean next() {
    while (at < chars.length && Character.isWhitespace(chars[at])) {
      at++;
    }
    if (at == chars.length) {
      return false;
    }
    char c = chars[at];
    if (c == '/' && next('/')) {
      add(TokenKind.LINE_COMMENT, lineEnd());
    } else if (c == '/' && next('*')) {
      boolean doc = startsWith("/**", at) && !startsWith("/**/", at);
      add(doc ? TokenKind.DOC_COMMENT : TokenKind.BLOCK_COMMENT, behind("*/", at + 2));
    } else if (c == '"' || c == '\'') {
      add(TokenKind.LITERAL, literalEnd(c));
    } else if (isDigit(c) || c == '.' && at + 1 < chars.length && isDigit(chars[at + 1])) {
      add(TokenKind.LITERAL, numberEnd());
    } else if (startsWord()) {
      int end = wordEnd();
      add(isKeyword(c, end) ? TokenKind.KEYWORD : TokenKind.IDENTIFIER, end);
    } else {
      add(TokenKind.SEPARATOR, at + 1);
    }
    return true;
  }

  /**
   * Passes over what stands up to the bracket that closes the one just read, which becomes the next
   * token; false, and the end of the text, where none closes it.
   */
  public boolean skipToClosing() {
    int depth = 1;
    while (at < chars.length) {
      char c = chars[at];
      if (c == '/' && next('/')) {
        at = lineEnd();
      } else if (c == '/' && next('*')) {
        at = behind("*/", at + 2);
      } else if (c == '"' || c == '\'') {
        at = literalEnd(c);
      } else {
        depth += c == '(' || c == '[' || c == '{' ? 1 : c == ')' || c == ']' || c == '}' ? -1 : 0;
        if (depth == 0) {
          add(TokenKind.SEPARATOR, at + 1);
          return true;
        }
        at++;
      }
    }
    return false;
  }

  private int literalEnd(char quote) {
    return quote == '"' && startsWith("\"\"\"", at) ? textBlockEnd() : quotedEnd(quote);
  }

  private boolean isKeyword(char first, int end) {
    return (first >= 'a' && first <= 'z' || first == '_')
        && end - at <= LONGEST_KEYWORD
        && KEYWORDS.contains(text.substring(at, end));
  }

  private boolean startsWith(String mark, int from) {
    int i = 0;
    while (i < mark.length() && from + i < chars.length && chars[from + i] == mark.charAt(i)) {
      i++;
    }
    return i == mark.length();
  }

  private void add(TokenKind kind, int end) {
    tokens.add(new Token(kind, at, end));
    at = end;
  }

  private boolean next(char c) {
    return at + 1 < chars.length && chars[at + 1] == c;
  }

  private static boolean isDigit(char c) {
    return c >= '0' && c <= '9';
  }

  private int lineEnd() {
    int end = at;
    while (end < chars.length && chars[end] != '\n' && chars[end] != '\r') {
      end++;
    }
    return end;
  }

  private int behind(String mark, int from) {
    int found = text.indexOf(mark, from);
    return found < 0 ? chars.length : found + mark.length();
  }

  private int textBlockEnd() {
    int end = at + 3;
    while (end < chars.length && !startsWith("\"\"\"", end)) {
      end += chars[end] == '\\' ? 2 : 1;
    }
    return Math.min(chars.length, end + 3);
  }

  private int quotedEnd(char quote) {
    int end = at + 1;
    while (end < chars.length) {
      char c = chars[end];
      if (c == quote) {
        return end + 1;
      }
      if (c == '\n' || c == '\r') {
        return end;
      }
      end += c == '\\' ? 2 : 1;
    }
    return chars.length;
  }

  private int numberEnd() {
    int end = at;
    while (end < chars.length) {
      char c = chars[end];
      boolean exponentSign =
          (c == '+' || c == '-') && "eEpP".indexOf(chars[end - 1]) >= 0 && isDecimalOrHexFloat(end);
      if (!Character.isLetterOrDigit(c) && c != '_' && c != '.' && !exponentSign) {
        break;
      }
      if (c == '.' && end + 1 < chars.length && !isNumberPart(chars[end + 1])) {
        return end + 1;
      }
      end++;
    }
    return end;
  }

  /** In a hexadecimal number `e` is a digit, so that `0xe+1` is three tokens. */
  private boolean isDecimalOrHexFloat(int sign) {
    boolean hex = startsWith("0x", at) || startsWith("0X", at);
    return !hex || "pP".indexOf(chars[sign - 1]) >= 0;
  }

  private static boolean isNumberPart(char c) {
    return Character.isLetterOrDigit(c) || c == '_';
  }

  private boolean startsWord() {
    return Character.isJavaIdentifierStart(Character.codePointAt(chars, at)) || isUnicodeEscape(at);
  }

  private boolean isUnicodeEscape(int offset) {
    return startsWith("\\u", offset);
  }

  private int wordEnd() {
    int end = at;
    while (end < chars.length) {
      int c = Character.codePointAt(chars, end);
      if (Character.isJavaIdentifierPart(c)) {
        end += Character.charCount(c);
      } else if (isUnicodeEscape(end)) {
        end = escapeEnd(end);
      } else {
        break;
      }
    }
    return end;
  }

  private int escapeEnd(int offset) {
    int end = offset + 1;
    while (end < chars.length && chars[end] == 'u') {
      end++;
    }
    return Math.min(chars.length, end + 4);
  }
}
