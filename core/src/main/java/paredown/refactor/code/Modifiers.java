package paredown.refactor.code;

import com.sun.source.tree.ModifiersTree;
import java.util.List;
import java.util.Optional;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/** Edits of the modifiers with which a declaration begins. */
public final class Modifiers {
  private static final List<String> SEEN = List.of("private", "protected", "public");

  private Modifiers() {}

  public static boolean has(SourceText source, MemberRange range, String modifier) {
    return find(source, range, modifier).isPresent();
  }

  /** Takes a modifier away, with the white space behind it; empty where it is not there. */
  public static Optional<Replacement> remove(
      SourceText source, MemberRange range, String modifier) {
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
  public static Optional<Replacement> replace(
      SourceText source, MemberRange range, String modifier, String other) {
    return find(source, range, modifier)
        .map(token -> Replacement.of(token.start(), token.end(), Written.plain(other)));
  }

  /**
   * Puts a word for who sees a declaration in the place of the one that is there.
   *
   * @param word with the space behind it; empty text for the package
   * @return empty where nothing changes
   */
  public static Optional<Replacement> access(
      UnitTrees trees, ModifiersTree modifiers, MemberRange range, String word) {
    SourceText source = trees.source();
    for (String present : SEEN) {
      if (has(source, range, present)) {
        return present.equals(word.strip())
            ? Optional.empty()
            : word.isEmpty()
                ? remove(source, range, present)
                : replace(source, range, present, word.strip());
      }
    }
    int start = behindAnnotations(trees, modifiers, range.declaration());
    return word.isEmpty()
        ? Optional.empty()
        : Optional.of(Replacement.of(start, start, Written.plain(word)));
  }

  /** Makes a type or member static: the word stands behind the one for who sees it. */
  public static Replacement beStatic(UnitTrees trees, ModifiersTree modifiers, MemberRange range) {
    SourceText source = trees.source();
    int start = behindAnnotations(trees, modifiers, range.declaration());
    Token first = source.codeTokenFrom(start);
    boolean seen = SEEN.contains(source.slice(first.start(), first.end()));
    int at = seen ? source.codeTokenFrom(first.end()).start() : start;
    return Replacement.of(at, at, Written.plain("static "));
  }

  /** Where the first modifier behind the annotations begins, or the type where there is none. */
  public static int behindAnnotations(UnitTrees trees, ModifiersTree modifiers, int declaration) {
    int behind = declaration;
    for (var annotation : modifiers.getAnnotations()) {
      behind = Math.max(behind, trees.end(annotation));
    }
    return trees.source().codeTokenFrom(behind).start();
  }

  private static Optional<Token> find(SourceText source, MemberRange range, String modifier) {
    int brackets = 0;
    boolean annotation = false;
    for (int i = source.tokenAt(range.declaration()); i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      char sign = source.text().charAt(token.start());
      if (sign == '(' && (annotation || brackets > 0)) {
        brackets++;
        annotation = false;
      } else if (sign == ')' && brackets > 0) {
        brackets--;
      }
      if (brackets > 0 || sign == ')') {
        continue;
      }
      boolean name = token.isIdentifier() || sign == '.';
      annotation = sign == '@' || annotation && name;
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
