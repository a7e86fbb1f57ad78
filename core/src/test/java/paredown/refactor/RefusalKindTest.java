package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class RefusalKindTest {

  @Test
  void isListedInTheDocumentationJustAsItIs() throws IOException {
    List<String> rows =
        Files.readAllLines(Path.of("../docs/refactorings.md")).stream()
            .filter(line -> line.startsWith("| `"))
            .toList();
    Map<String, String> examples = examples();
    List<String> kinds =
        Arrays.stream(RefusalKind.values())
            .map(
                kind ->
                    "| `%s` | %s | %s | %s |"
                        .formatted(
                            kind.id(),
                            kind.mark().name().toLowerCase().replace('_', ' '),
                            kind.why(),
                            examples.getOrDefault(kind.id(), "")))
            .toList();
    assertEquals(kinds, rows);
  }

  /** The sentence of the first case that is refused for each reason. */
  private static Map<String, String> examples() throws IOException {
    Map<String, String> examples = new TreeMap<>();
    for (String operation :
        List.of(
            "extract-class",
            "move-method",
            "rename",
            "move-class",
            "extract-method",
            "inline-variable",
            "extract-variable",
            "inline-method",
            "inline-field",
            "move-field",
            "inline-class",
            "parameter-object",
            "superclass",
            "remove",
            "move-parameter",
            "extract-value",
            "builder")) {
      for (RefactoringCase each : RefactoringCase.all(Path.of("src/test/resources", operation))) {
        examples.putIfAbsent(each.refused().replaceAll(" .*", ""), each.sentence());
      }
    }
    return examples;
  }

  @Test
  void isForcedByACaseWhereItIsUnsafe() throws IOException {
    Set<String> forced = new TreeSet<>(examples().keySet());
    // These are forced elsewhere: by bytes that are no text, and in the tests of the command line.
    forced.addAll(Set.of("garbled", "no-test-command", "api-changes", "assumes"));
    for (RefusalKind kind : RefusalKind.values()) {
      if (kind.mark() == RefusalKind.Mark.UNSAFE) {
        assertTrue(forced.contains(kind.id()), kind.id() + " is never forced");
      }
    }
  }
}
