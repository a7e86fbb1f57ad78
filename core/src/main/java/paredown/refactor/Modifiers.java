package paredown.refactor;

import java.util.Optional;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/** Edits of the modifiers with which a declaration begins. */
final class Modifiers {
  private Modifiers() {}

  static boolean has(SourceText source, MemberRange range, String modifier) {
    return find(source, range, modifier).isPresent();
  }

  /** Takes a modifier away, with the white space behind it; empty where it is not there. */
  static Optional<Replacement> remove(SourceText source, MemberRange range, String modifier) {
    return find(source, range, modifier)
        .map(
            token -> {
              int end = token.end();
              while (end < source.length() && Character.isWhitespace(source.text().charAt(end))) {
                end++;
              }
              return Replacement.removal(token.start(), end);
            });
  }

  /** Puts another modifier in the place of one; empty where it is not there. */
  static Optional<Replacement> replace(
      SourceText source, MemberRange range, String modifier, String other) {
    return find(source, range, modifier)
        .map(token -> Replacement.of(token.start(), token.end(), Written.plain(other)));
  }

  private static Optional<Token> find(SourceText source, MemberRange range, String modifier) {
    for (int i = source.tokenAt(range.declaration()); i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      if (token.start() >= range.declarationEnd()
          || "({=;".indexOf(source.text().charAt(token.start())) >= 0) {
        return Optional.empty();
      }
      if (token.kind() == TokenKind.KEYWORD && source.spells(token, modifier)) {
        return Optional.of(token);
      }
    }
    return Optional.empty();
  }
}
