package paredown.refactor.code;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * The strings that the annotations of a file give, which frameworks read as the names of members: a
 * test's source of arguments, the method that runs before another, a mapped field.
 */
public final class AnnotationStrings {
  private final SourceText source;
  private final List<Token> code;
  private final Deque<Boolean> brackets = new ArrayDeque<>();
  private final List<Token> found = new ArrayList<>();

  private AnnotationStrings(SourceText source) {
    this.source = source;
    this.code = source.tokens().stream().filter(token -> !token.kind().isComment()).toList();
  }

  public static List<Token> in(SourceText source) {
    return new AnnotationStrings(source).read();
  }

  private List<Token> read() {
    for (int i = 0; i < code.size(); i++) {
      char sign = source.text().charAt(code.get(i).start());
      boolean within = !brackets.isEmpty() && brackets.peek();
      if (sign == '(') {
        brackets.push(within || isOfAnnotation(i));
      } else if (sign == ')' && !brackets.isEmpty()) {
        brackets.pop();
      } else if (sign == '"' && within) {
        found.add(code.get(i));
      }
    }
    return found;
  }

  /** Whether the name before a bracket is that of an annotation. */
  private boolean isOfAnnotation(int bracket) {
    int at = bracket - 1;
    while (at >= 2 && code.get(at).isIdentifier() && is(at - 1, '.')) {
      at -= 2;
    }
    return at >= 1 && code.get(at).isIdentifier() && is(at - 1, '@');
  }

  private boolean is(int i, char sign) {
    return source.text().charAt(code.get(i).start()) == sign;
  }
}
