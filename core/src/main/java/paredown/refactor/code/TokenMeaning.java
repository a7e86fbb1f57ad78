package paredown.refactor.code;

import paredown.program.Use;
import paredown.program.UseKind;
import paredown.text.Token;

/** What a sign of the text means, so that two pieces of code can be compared. */
public final class TokenMeaning {
  private TokenMeaning() {}

  /** The key of what a name means, or of the variable that it declares; empty for other signs. */
  public static String of(UnitTrees trees, Token token) {
    if (!token.isIdentifier()) {
      return "";
    }
    return trees
        .program()
        .uses()
        .at(trees.path(), token.start(), UseKind.NAME)
        .map(Use::key)
        .orElseGet(() -> "local @{" + trees.path() + ":" + token.start() + "}");
  }
}
