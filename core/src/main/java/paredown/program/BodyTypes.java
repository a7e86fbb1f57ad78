package paredown.program;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.text.SourceText;
import paredown.text.Token;

/** Reads from tokens alone which types the classes within the bodies of a file are below. */
final class BodyTypes {
  private final SourceText source;
  private final List<Token> code;
  private final Set<String> found = new HashSet<>();

  private BodyTypes(SourceText source) {
    this.source = source;
    this.code = source.tokens().stream().filter(token -> !token.kind().isComment()).toList();
  }

  /**
   * The simple names of the types that local and anonymous classes extend or implement; and those
   * of enums, whose constants may have bodies.
   *
   * @param members the types of the file that stand in no body
   */
  static Set<String> extendedIn(SourceText source, List<DeclaredType> members) {
    BodyTypes types = new BodyTypes(source);
    Set<Integer> known = members.stream().map(DeclaredType::offset).collect(Collectors.toSet());
    for (int i = 0; i < types.code.size(); i++) {
      if (types.is(i, "new")) {
        types.made(i + 1);
      } else if (types.declaresLocal(i, known)) {
        types.header(i + 2);
      }
    }
    members.stream()
        .filter(type -> type.keyword().equals("enum"))
        .forEach(type -> types.found.add(type.simpleName()));
    return types.found;
  }

  private boolean declaresLocal(int i, Set<Integer> known) {
    return (is(i, "class") || is(i, "interface") || is(i, "enum") || is(i, "record"))
        && i + 1 < code.size()
        && code.get(i + 1).isIdentifier()
        && !known.contains(code.get(i + 1).start())
        && (i == 0 || !is(i - 1, "."));
  }

  private void header(int from) {
    for (int i = from; i < code.size() && !is(i, "{"); i++) {
      if (code.get(i).isIdentifier()) {
        found.add(word(i));
      }
    }
  }

  /** What is made behind {@code new}: an anonymous class where a body follows the arguments. */
  private void made(int from) {
    int i = from;
    String name = "";
    while (i < code.size() && !is(i, "(") && !is(i, "[") && !is(i, "{") && !is(i, ";")) {
      if (is(i, "<")) {
        i = behind(i, "<", ">");
        continue;
      }
      name = code.get(i).isIdentifier() ? word(i) : name;
      i++;
    }
    if (i < code.size() && is(i, "(") && !name.isEmpty()) {
      int next = behind(i, "(", ")");
      if (next < code.size() && is(next, "{")) {
        found.add(name);
      }
    }
  }

  private int behind(int open, String opening, String closing) {
    int depth = 0;
    for (int i = open; i < code.size(); i++) {
      depth += is(i, opening) ? 1 : is(i, closing) ? -1 : 0;
      if (depth == 0) {
        return i + 1;
      }
      if (is(i, ";") && opening.equals("<")) {
        return i;
      }
    }
    return code.size();
  }

  private boolean is(int i, String text) {
    Token token = code.get(i);
    return !token.isLiteral()
        && token.end() - token.start() == text.length()
        && source.text().startsWith(text, token.start());
  }

  private String word(int i) {
    Token token = code.get(i);
    return source.slice(token.start(), token.end());
  }
}
