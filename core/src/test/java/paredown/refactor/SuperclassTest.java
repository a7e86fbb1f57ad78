package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.UnusableRequest;
import paredown.program.Sources;
import paredown.refactor.operation.superclass.ExtractSuperclass;
import paredown.refactor.plan.Judged;

class SuperclassTest {
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> extractSuperclass() throws IOException {
    return RefactoringCase.all(Path.of("src/test/resources/superclass")).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }

  private UnusableRequest unusable(List<String> classes, List<String> members, String name) {
    Sources sources =
        new Fixture(folder)
            .with(
                "src/ferry/Rope.java",
                """
                package ferry;

                class Rope {
                  int metres() {
                    return 1;
                  }
                }

                class Chain extends Rope {}

                class Anchor extends java.io.File {
                  Anchor() {
                    super("x");
                  }
                }
                """)
            .sources();
    ExtractSuperclass extract =
        new ExtractSuperclass(
            classes,
            members,
            List.of(),
            Optional.of(name).filter(each -> !each.isEmpty()),
            Set.of());
    return assertThrows(UnusableRequest.class, () -> Judged.of(extract, sources, sources.index()));
  }

  @Test
  void saysWhatIsMissingWhereNothingCanGoUp() {
    UnusableRequest top = unusable(List.of("Rope"), List.of("metres"), "");
    assertEquals("Object, above Rope, is not a class of the project.", top.getMessage());
    assertEquals("Put a new one above them: --name NAME.", top.advice());
    assertEquals(
        "Rope and Chain do not extend the same class.",
        unusable(List.of("Rope", "Chain"), List.of("metres"), "").getMessage());
    assertEquals(
        "Rope and Chain do not extend the same class.",
        unusable(List.of("Rope", "Chain"), List.of("metres"), "Tackle").getMessage());
    assertEquals("No members are named.", unusable(List.of("Rope"), List.of(), "").getMessage());
    assertEquals(
        "Rope has no method length.",
        unusable(List.of("Rope"), List.of("length"), "Tackle").getMessage());
  }
}
