package paredown.facts;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/**
 * The wording of a statement: what it says, whatever its variables, fields and literals are called,
 * and the types of what it declares.
 *
 * @param hash equal for statements that are worded alike
 * @param words how many words it has: names, literals and keywords
 * @param names how many of them name members and types of any class, or throw
 */
public record Wording(long hash, int words, int names) {
  /** How constants are named; a constant stands for what another place says as a literal. */
  private static final Pattern CONSTANT = Pattern.compile("\\p{Lu}[\\p{Lu}\\d_]+");

  /** A statement that says nothing. */
  public static final Wording NONE = new Wording(0, 0, 0);

  /**
   * The wording of a range.
   *
   * @param own the names of variables and fields, which are told apart by their order only
   */
  static Wording of(SourceText source, int start, int end, Set<String> own) {
    List<Token> tokens = source.tokens();
    Map<String, Integer> order = new HashMap<>();
    long hash = 7;
    int words = 0;
    int names = 0;
    for (int i = source.tokenAt(start); i < tokens.size() && tokens.get(i).start() < end; i++) {
      Token token = tokens.get(i);
      if (token.kind().isComment() || isOwnObject(source, i)) {
        continue;
      }
      String text = source.slice(token.start(), token.end());
      if (token.isLiteral()) {
        text = "#";
        words++;
      } else if (token.isIdentifier()) {
        boolean variable = own.contains(text) && !isAsked(source, i) && !isCalled(source, i);
        boolean type = !variable && isDeclaring(source, i);
        names += variable || type ? 0 : 1;
        words++;
        text = type ? "T" + order.computeIfAbsent(text, each -> order.size()) : text;
        text = variable ? variable(text, order) : text;
      } else if (token.kind() == TokenKind.KEYWORD) {
        words++;
        // To refuse something is to say what must hold.
        names += text.equals("throw") ? 1 : 0;
      }
      hash = hash * 1_000_003 + text.hashCode();
    }
    return new Wording(hash, words, names);
  }

  private static String variable(String name, Map<String, Integer> order) {
    return CONSTANT.matcher(name).matches()
        ? "#"
        : "$" + order.computeIfAbsent(name, each -> order.size());
  }

  /** Whether a name is that of a type in front of what it declares: {@code Berth berth}. */
  private static boolean isDeclaring(SourceText source, int i) {
    Token next = i + 1 < source.tokens().size() ? source.tokens().get(i + 1) : null;
    return next != null
        && next.isIdentifier()
        && Character.isUpperCase(source.text().charAt(source.tokens().get(i).start()))
        && !isAsked(source, i);
  }

  /** Whether a token is {@code this} or the dot behind it. */
  private static boolean isOwnObject(SourceText source, int i) {
    return isThis(source, i) && sign(source, i + 1) == '.'
        || sign(source, i) == '.' && isThis(source, i - 1);
  }

  private static boolean isThis(SourceText source, int i) {
    Token token = i < 0 ? null : source.tokens().get(i);
    return token != null && source.slice(token.start(), token.end()).equals("this");
  }

  /** Whether a name stands behind a dot, that of the object itself apart. */
  private static boolean isAsked(SourceText source, int i) {
    return i > 0 && sign(source, i - 1) == '.' && !isThis(source, i - 2);
  }

  private static boolean isCalled(SourceText source, int i) {
    return sign(source, i + 1) == '(';
  }

  private static char sign(SourceText source, int i) {
    return i < 0 || i >= source.tokens().size()
        ? 0
        : source.text().charAt(source.tokens().get(i).start());
  }
}
