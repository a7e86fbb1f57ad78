package paredown.program;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/** Reads the package and the type declarations of a file from its tokens alone. */
final class TypeHeaders {
  private static final Set<String> KINDS = Set.of("class", "interface", "enum");

  private final SourceText source;
  private final List<Token> code;
  private final Deque<Integer> depths = new ArrayDeque<>();
  private final Deque<String> names = new ArrayDeque<>();
  private final List<DeclaredType> found = new ArrayList<>();

  private TypeHeaders(SourceText source) {
    this.source = source;
    this.code = source.tokens().stream().filter(token -> !token.kind().isComment()).toList();
  }

  static List<DeclaredType> in(SourceText source) {
    return new TypeHeaders(source).read();
  }

  static String packageOf(SourceText source) {
    return new TypeHeaders(source).packageName();
  }

  private String packageName() {
    for (int i = 0; i < code.size(); i++) {
      String word = word(i);
      if (word.equals("package")) {
        StringBuilder name = new StringBuilder();
        for (int j = i + 1; j < code.size() && !word(j).equals(";"); j++) {
          name.append(word(j));
        }
        return name.toString();
      }
      if (word.equals("import") || KINDS.contains(word)) {
        break;
      }
    }
    return "";
  }

  private List<DeclaredType> read() {
    String packageName = packageName();
    int depth = 0;
    String pending = null;
    for (int i = 0; i < code.size(); i++) {
      String word = word(i);
      if (word.equals("{")) {
        depth++;
        if (pending != null) {
          names.push(pending);
          depths.push(depth);
          pending = null;
        }
      } else if (word.equals("}")) {
        if (!depths.isEmpty() && depths.peek() == depth) {
          depths.pop();
          names.pop();
        }
        depth--;
      } else if (declares(i) && (depths.isEmpty() ? depth == 0 : depths.peek() == depth)) {
        String outer = names.isEmpty() ? packageName : names.peek();
        String name = (outer.isEmpty() ? "" : outer + ".") + word(i + 1);
        String keyword = i > 0 && word(i - 1).equals("@") ? "annotation" : word;
        found.add(
            new DeclaredType(
                name,
                keyword,
                source.path(),
                code.get(i + 1).start(),
                names.size(),
                header(i + 2)));
        pending = name;
      }
    }
    return found;
  }

  private boolean declares(int i) {
    if (i + 1 >= code.size() || code.get(i + 1).kind() != TokenKind.IDENTIFIER) {
      return false;
    }
    String word = word(i);
    if (KINDS.contains(word)) {
      return i == 0 || !word(i - 1).equals(".");
    }
    return word.equals("record")
        && code.get(i).isIdentifier()
        && i + 2 < code.size()
        && (word(i + 2).equals("(") || word(i + 2).equals("<"))
        && (i == 0 || !word(i - 1).equals("."))
        && startsDeclaration(i);
  }

  private Set<String> header(int from) {
    Set<String> words = new HashSet<>();
    for (int i = from; i < code.size() && !word(i).equals("{"); i++) {
      if (code.get(i).isIdentifier()) {
        words.add(word(i));
      }
    }
    return words;
  }

  private boolean startsDeclaration(int i) {
    return i == 0
        || code.get(i - 1).kind() == TokenKind.KEYWORD
        || Set.of("}", "{", ";", ")").contains(word(i - 1))
        || code.get(i - 1).isIdentifier();
  }

  private String word(int i) {
    Token token = code.get(i);
    return source.slice(token.start(), token.end());
  }
}
