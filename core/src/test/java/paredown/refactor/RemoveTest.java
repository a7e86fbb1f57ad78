package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.UnusableRequest;
import paredown.program.Sources;
import paredown.refactor.operation.remove.RemoveMember;
import paredown.refactor.operation.remove.RemoveParameter;
import paredown.refactor.plan.Judged;

class RemoveTest {
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> remove() throws IOException {
    return RefactoringCase.all(Path.of("src/test/resources/remove")).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }

  private Sources desk() {
    return new Fixture(folder)
        .with(
            "src/main/java/ferry/Desk.java",
            """
            package ferry;

            class Desk {
              Desk(int open) {}

              Desk(int open, int left) {}

              int total() {
                return 1;
              }
            }
            """)
        .with(
            "src/test/java/ferry/DeskTest.java",
            """
            package ferry;

            class DeskTest {
              private final int total = new Desk(1).total();

              @Test
              void adds() {
                assert new Desk(1).total() == total;
              }

              @interface Test {}
            }
            """)
        .sources();
  }

  @Test
  void namesTheTestThatUsesAMember() {
    Sources sources = desk();
    RemoveMember remove = new RemoveMember("Desk", List.of("total"), false, Set.of());
    Refused refused =
        assertThrows(Refused.class, () -> Judged.of(remove, sources, sources.index()));
    assertEquals(
        "total cannot be removed: a test class uses it outside of a test.", refused.getMessage());
    assertEquals(List.of("src/test/java/ferry/DeskTest.java:4"), refused.places());
  }

  @Test
  void saysWhatThereIsWhereAParameterIsNotMeant() {
    Sources sources = desk();
    assertEquals("2 methods Desk of Desk take it.", unusable(sources, "Desk", "open").getMessage());
    assertEquals(
        "Say which: Desk(int), Desk(int,int).", unusable(sources, "Desk", "open").advice());
    assertEquals("total has no parameter left.", unusable(sources, "total", "left").getMessage());
    assertEquals("Desk has no method sum.", unusable(sources, "sum", "left").getMessage());
  }

  private static UnusableRequest unusable(Sources sources, String method, String parameter) {
    RemoveParameter remove = new RemoveParameter("Desk", method, parameter);
    return assertThrows(UnusableRequest.class, () -> Judged.of(remove, sources, sources.index()));
  }
}
