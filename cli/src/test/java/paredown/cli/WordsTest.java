package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import paredown.text.Lexer;
import paredown.text.Token;
import paredown.text.TokenKind;

/** One word for one thing, in everything that a user reads. */
class WordsTest {
  /** Other words for the things of the glossary, and the word that is used here. */
  private static final Map<String, String> OTHERS =
      Map.ofEntries(
          Map.entry("violations?", "finding"),
          Map.entry("issues?", "finding"),
          Map.entry("hot ?spots?", "finding"),
          Map.entry("severity", "weight"),
          Map.entry("suggestions?", "remedy"),
          Map.entry("quick ?fix(?:es)?", "remedy"),
          Map.entry("forward(?:er|ers|ing)", "delegate"),
          Map.entry("roll(?:ed)? ?back", "undo"),
          Map.entry("revert(?:ed)?", "undo"),
          Map.entry("transactions?", "step"),
          Map.entry("pre-?conditions?", "refusal"),
          Map.entry("dry.run", "preview"),
          Map.entry("baseline", "accepted finding"));

  @Test
  void whatAUserReadsHasNoOtherWordForAThingOfTheGlossary() throws IOException {
    List<String> met = new ArrayList<>();
    for (String root : List.of("src/main/java", "../core/src/main/java")) {
      for (Path file : files(root, ".java")) {
        String text = Files.readString(file);
        for (Token token : Lexer.tokens(text)) {
          String said = text.substring(token.start(), token.end());
          if (token.kind() == TokenKind.LITERAL && said.contains(" ")) {
            other(said, file, met);
          }
        }
      }
    }
    for (Path file : files("../docs", ".md")) {
      other(Files.readString(file), file, met);
    }
    assertEquals(List.of(), met);
  }

  @Test
  void theGlossaryIsInOrderAndHasTheWordsThatTheProgramIsMadeOf() throws IOException {
    List<String> words =
        Files.readAllLines(Path.of("../docs/glossary.md")).stream()
            .filter(line -> line.matches("\\| [a-z].*"))
            .map(line -> line.substring(2, line.indexOf(" |")))
            .filter(word -> !word.equals("word"))
            .toList();
    assertEquals(List.copyOf(new TreeSet<>(words)), words);
    assertTrue(
        words.containsAll(
            List.of(
                "assumption",
                "candidate",
                "change",
                "delegate",
                "effect",
                "evidence",
                "facts",
                "finding",
                "gate",
                "program",
                "project",
                "refactoring",
                "refusal",
                "remedy",
                "ripple",
                "smell",
                "step")),
        words.toString());
  }

  private static List<Path> files(String root, String ending) throws IOException {
    try (Stream<Path> files = Files.walk(Path.of(root))) {
      return files.filter(file -> file.toString().endsWith(ending)).sorted().toList();
    }
  }

  private static void other(String text, Path file, List<String> met) {
    OTHERS.forEach(
        (other, word) -> {
          var found =
              Pattern.compile("\\b" + other + "\\b", Pattern.CASE_INSENSITIVE).matcher(text);
          while (found.find()) {
            met.add(
                "%s says %s; the word is %s".formatted(file.getFileName(), found.group(), word));
          }
        });
  }
}
