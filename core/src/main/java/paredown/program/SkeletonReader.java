package paredown.program;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import paredown.text.Lexer;
import paredown.text.Token;
import paredown.text.TokenKind;

/** Reads the skeleton of a file from its tokens alone. */
final class SkeletonReader {
  private static final Set<String> TYPES = Set.of("class", "interface", "enum");
  private static final String BODY = "{throw null;}";

  private final String text;
  private final Lexer lexer;
  private final List<Token> code = new ArrayList<>();
  private final StringBuilder kept = new StringBuilder();
  private final List<String> types = new ArrayList<>();
  private int at;
  private int copied;
  private int depth;

  private SkeletonReader(String text) {
    this.text = text;
    this.lexer = Lexer.over(text);
  }

  /** The skeleton of a text; the whole text where its brackets do not match. */
  static Skeleton read(String text) {
    SkeletonReader reader = new SkeletonReader(text);
    try {
      reader.members(false);
      reader.copyUpTo(text.length());
      return new Skeleton(reader.kept.toString(), reader.types);
    } catch (IndexOutOfBoundsException unbalanced) {
      return new Skeleton(text, reader.types);
    }
  }

  /** Reads members up to the bracket that closes their type, or the end of the file. */
  private void members(boolean inInterface) {
    while (has(at) && !is('}')) {
      member(inInterface);
    }
  }

  private void member(boolean inInterface) {
    int first = at;
    boolean isFinal = inInterface;
    String type = "";
    boolean defaults = false;
    while (has(at)) {
      char sign = sign(at);
      if (sign == '(' || sign == '[') {
        skipBrackets();
        continue;
      }
      if (sign == ';') {
        at++;
        return;
      }
      if (sign == '=') {
        initialiser(isFinal);
        return;
      }
      if (sign == '{') {
        if (!type.isEmpty()) {
          typeBody(type);
        } else if (defaults) {
          skipBrackets();
          continue;
        } else {
          replaceBrackets(isBlock(first) ? "{}" : BODY);
        }
        return;
      }
      if (sign == '}') {
        return;
      }
      String word = word(at);
      isFinal |= word.equals("final");
      defaults |= word.equals("default") && at > first && sign(at - 1) == ')';
      if (type.isEmpty() && (TYPES.contains(word) || isRecord())) {
        type = word;
        if (depth == 0) {
          types.add(word(at + 1));
        }
      }
      at++;
    }
  }

  /** Whether a member is a block: nothing stands before its bracket, or {@code static}. */
  private boolean isBlock(int first) {
    return at == first || at == first + 1 && word(first).equals("static");
  }

  private boolean isRecord() {
    return word(at).equals("record")
        && token(at + 1).isIdentifier()
        && (sign(at + 2) == '(' || sign(at + 2) == '<');
  }

  private void typeBody(String type) {
    at++;
    depth++;
    if (type.equals("enum")) {
      constants();
    }
    members(type.equals("interface"));
    depth--;
    at++;
  }

  /** Reads the constants of an enum, and the sign behind them. */
  private void constants() {
    while (!is('}')) {
      if (is('(')) {
        skipBrackets();
      } else if (is('{')) {
        replaceBrackets("{}");
      } else if (is(';')) {
        at++;
        return;
      } else {
        at++;
      }
    }
  }

  /**
   * Drops the value of a field, unless it may be a constant or belongs to one of several fields.
   */
  private void initialiser(boolean isFinal) {
    int sign = at;
    boolean plain = true;
    boolean several = false;
    while (!is(';')) {
      if (is('(') || is('[') || is('{')) {
        int open = at;
        skipBrackets();
        for (int i = open; i < at; i++) {
          plain &= isPlain(i);
        }
      } else {
        plain &= isPlain(at);
        several |= is(',');
        at++;
      }
    }
    if (!several && !(isFinal && plain)) {
      copyUpTo(token(sign).start());
      copied = token(at).start();
    }
    at++;
  }

  /** Whether a constant's value may hold a token. */
  private boolean isPlain(int i) {
    return sign(i) != '{' && !word(i).equals("new") && !(sign(i) == '>' && sign(i - 1) == '-');
  }

  private void replaceBrackets(String with) {
    copyUpTo(token(at).start());
    if (at == code.size() - 1) {
      if (lexer.skipToClosing()) {
        takeLast();
      }
      at += 2;
    } else {
      skipBrackets();
    }
    copied = token(at - 1).end();
    kept.append(with);
  }

  /** Whether there is a token of code at an index. */
  private boolean has(int i) {
    while (i >= code.size()) {
      if (!lexer.next()) {
        return false;
      }
      takeLast();
    }
    return true;
  }

  private void takeLast() {
    Token last = lexer.read().get(lexer.read().size() - 1);
    if (!last.kind().isComment()) {
      code.add(last);
    }
  }

  /**
   * The token of code at an index.
   *
   * @throws IndexOutOfBoundsException where the text ends before
   */
  private Token token(int i) {
    has(i);
    return code.get(i);
  }

  private void skipBrackets() {
    int depth = 0;
    do {
      char sign = sign(at);
      if (sign == '(' || sign == '[' || sign == '{') {
        depth++;
      } else if (sign == ')' || sign == ']' || sign == '}') {
        depth--;
      }
      at++;
    } while (depth > 0);
  }

  private void copyUpTo(int offset) {
    kept.append(text, copied, offset);
    copied = offset;
  }

  private boolean is(char sign) {
    return sign(at) == sign;
  }

  /** The sign that a token is; 0 where it is a word or a literal. */
  private char sign(int i) {
    Token token = token(i);
    return token.kind() == TokenKind.SEPARATOR ? text.charAt(token.start()) : 0;
  }

  private String word(int i) {
    Token token = token(i);
    return text.substring(token.start(), token.end());
  }
}
