package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.edit.Assumption;
import paredown.program.Sources;
import paredown.refactor.plan.Judged;

class AssumptionKindTest {
  @TempDir Path folder;

  /** The sentence of the first case that rests on each kind. */
  private static Map<String, RefactoringCase> examples() throws IOException {
    Map<String, RefactoringCase> examples = new LinkedHashMap<>();
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
            "move-down",
            "move-parameter",
            "change-type",
            "extract-value",
            "inline-class",
            "parameter-object",
            "superclass",
            "remove",
            "builder")) {
      for (RefactoringCase each : RefactoringCase.all(Path.of("src/test/resources", operation))) {
        each.assumed().forEach(line -> examples.putIfAbsent(line.replaceAll(" .*", ""), each));
      }
    }
    return examples;
  }

  @Test
  void isListedInTheDocumentationWithItsExample() throws IOException {
    List<String> rows =
        Files.readAllLines(Path.of("../docs/refactorings.md")).stream()
            .filter(line -> line.startsWith("| **"))
            .toList();
    Map<String, RefactoringCase> examples = examples();
    List<String> kinds = Arrays.stream(Assumption.Kind.values()).map(Assumption.Kind::id).toList();
    assertEquals(kinds, rows.stream().map(row -> row.split("\\*\\*")[1]).toList());
    for (int i = 0; i < kinds.size(); i++) {
      String sentence = examples.get(kinds.get(i)).sentence();
      assertTrue(rows.get(i).endsWith("| " + sentence + " |"), rows.get(i) + " and " + sentence);
    }
  }

  @Test
  void isRefusedWhereTheProjectIsStrict() throws IOException {
    int number = 0;
    for (RefactoringCase each : examples().values()) {
      Sources sources =
          new Fixture(folder.resolve("p" + number++))
              .withAll(each.before())
              .with("pare.yaml", "strict: true\n")
              .sources();
      Refused refused =
          assertThrows(
              Refused.class,
              () -> Judged.of(each.refactoring(), sources, sources.index()),
              each.sentence());
      assertEquals(RefusalKind.ASSUMES, refused.kind());
    }
  }
}
