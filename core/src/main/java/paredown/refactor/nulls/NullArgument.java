package paredown.refactor.nulls;

import java.util.List;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/**
 * A call that gives the word {@code null} to one of its parameters, as the tokens of a text tell it
 * without types.
 *
 * @param word the name that is called
 * @param index of the parameter, from 0 on
 * @param count of the parameters
 */
record NullArgument(String word, int index, int count) {
  /** Whether a text has such a call. */
  boolean isIn(SourceText text) {
    List<Token> code = text.tokens().stream().filter(token -> !token.kind().isComment()).toList();
    for (int i = 0; i + 1 < code.size(); i++) {
      if (code.get(i).isIdentifier()
          && text.spells(code.get(i), word)
          && sign(text, code.get(i + 1)) == '('
          && isNullAt(text, code, i + 2)) {
        return true;
      }
    }
    return false;
  }

  private boolean isNullAt(SourceText text, List<Token> code, int from) {
    int depth = 0;
    int argument = 0;
    boolean found = false;
    for (int i = from; i < code.size(); i++) {
      char sign = sign(text, code.get(i));
      if (depth == 0 && sign == ')') {
        return found && argument + 1 == count;
      }
      depth += sign == '(' || sign == '[' || sign == '{' ? 1 : 0;
      depth -= sign == ')' || sign == ']' || sign == '}' ? 1 : 0;
      if (depth == 0 && sign == ',') {
        argument++;
      } else if (depth == 0
          && argument == index
          && text.slice(code.get(i).start(), code.get(i).end()).equals("null")) {
        found = true;
      }
      if (sign == ';' && depth <= 0) {
        return false;
      }
    }
    return false;
  }

  private static char sign(SourceText text, Token token) {
    return token.kind() == TokenKind.SEPARATOR ? text.text().charAt(token.start()) : 0;
  }
}
