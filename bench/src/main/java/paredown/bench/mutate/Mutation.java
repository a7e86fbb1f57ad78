package paredown.bench.mutate;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import paredown.text.SourceText;
import paredown.text.Token;

/** A mutation is what an edit that is not finished, or a slip, makes of a source. */
final class Mutation {
  private static final List<String> PIECES =
      List.of(
          "{",
          "}",
          "(",
          ")",
          ";",
          ",",
          ".",
          "=",
          "<",
          ">",
          "[",
          "]",
          "\"",
          "'",
          "/*",
          "*/",
          "//",
          "@",
          "?",
          ":",
          "->",
          "::",
          "class ",
          "enum ",
          "record ",
          "interface ",
          "static ",
          "strictfp ",
          "private ",
          "abstract ",
          "void ",
          "int ",
          "new ",
          "return ",
          "throw ",
          "super",
          "this",
          "case ",
          "default ",
          "switch ",
          "yield ",
          "var ",
          "sealed ",
          "foo();",
          "class A {",
          "enum E { X; E(); }",
          "A(int x",
          "\"\"\"",
          "\\u0041",
          "0x",
          "1e",
          "@interface ");

  private final Random random;

  Mutation(Random random) {
    this.random = random;
  }

  /** A text with one to three mutations. */
  String of(String text) {
    String mutated = text;
    int count = 1 + random.nextInt(3);
    for (int i = 0; i < count; i++) {
      mutated = once(mutated);
    }
    return mutated;
  }

  private String once(String text) {
    List<Token> tokens = new SourceText("A.java", text, StandardCharsets.UTF_8).tokens();
    if (tokens.size() < 4) {
      return text + PIECES.get(random.nextInt(PIECES.size()));
    }
    Token one = tokens.get(random.nextInt(tokens.size()));
    Token other = tokens.get(random.nextInt(tokens.size()));
    return switch (random.nextInt(8)) {
      case 0 -> text.substring(0, one.start()) + text.substring(one.end());
      case 1, 2 ->
          text.substring(0, one.start())
              + PIECES.get(random.nextInt(PIECES.size()))
              + text.substring(one.start());
      case 3 ->
          text.substring(0, one.start())
              + text.substring(other.start(), other.end())
              + text.substring(one.end());
      case 4 -> text.substring(0, one.end());
      case 5 -> {
        int from = Math.min(one.start(), other.start());
        int to = Math.min(text.length(), from + random.nextInt(200));
        yield text.substring(0, to) + text.substring(from);
      }
      case 6 -> {
        int from = one.start();
        int to = Math.min(text.length(), from + random.nextInt(60));
        yield text.substring(0, from) + text.substring(to);
      }
      default ->
          text.substring(0, one.start())
              + " "
              + PIECES.get(random.nextInt(PIECES.size()))
              + PIECES.get(random.nextInt(PIECES.size()))
              + " "
              + text.substring(one.end());
    };
  }
}
