package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

/** The examples in the help of the refactorings, each typed in the demo. */
class HelpExamplesTest {
  private static final List<List<String>> COMMANDS =
      List.of(
          List.of("extract", "class"),
          List.of("extract", "method"),
          List.of("extract", "variable"),
          List.of("extract", "constant"),
          List.of("inline", "method"),
          List.of("inline", "variable"),
          List.of("inline", "constant"),
          List.of("inline", "field"),
          List.of("move", "method"),
          List.of("move", "field"),
          List.of("move", "class"),
          List.of("rename"),
          List.of("order", "members"));

  @TempDir static Path folder;

  @BeforeAll
  static void layOutTheDemo() {
    Ran.pare(folder, "demo", "ferry").exits(0);
  }

  @TestFactory
  Stream<DynamicTest> previewsWhatItsHelpShows() {
    return COMMANDS.stream()
        .map(command -> DynamicTest.dynamicTest(String.join(" ", command), () -> check(command)));
  }

  private static void check(List<String> command) {
    List<String> help = new ArrayList<>(command);
    help.add("--help");
    String shown = Ran.pare(folder, help.toArray(String[]::new)).exits(0).out();
    List<String> examples =
        shown
            .replaceAll("\\\\\\R\\s+", "")
            .lines()
            .filter(line -> line.startsWith("  pare "))
            .toList();
    assertFalse(examples.isEmpty(), shown);
    for (String example : examples) {
      List<String> words = words(example.strip().substring("pare ".length()));
      Ran ran = Ran.pare(folder.resolve("ferry"), words.toArray(String[]::new));
      assertEquals(0, ran.exit(), example + System.lineSeparator() + ran.err());
    }
  }

  /** The words of a command as a shell would part them: quotes hold some together. */
  private static List<String> words(String line) {
    List<String> words = new ArrayList<>();
    boolean quoted = false;
    for (String part : line.split("'", -1)) {
      if (quoted) {
        words.add(part);
      } else {
        Stream.of(part.split(" ")).filter(word -> !word.isBlank()).forEach(words::add);
      }
      quoted = !quoted;
    }
    return words;
  }
}
