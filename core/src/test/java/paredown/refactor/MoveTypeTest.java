package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.UnusableRequest;
import paredown.program.Sources;
import paredown.refactor.operation.movetype.MoveType;
import paredown.refactor.plan.Judged;

class MoveTypeTest {
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> moveType() throws IOException {
    return RefactoringCase.all(Path.of("src/test/resources/move-class")).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }

  private String unusable(String type, String target) {
    Sources sources =
        new Fixture(folder)
            .with("src/ferry/Desk.java", "package ferry; class Desk { static class Till {} }")
            .sources();
    MoveType move = new MoveType(type, target, Set.of());
    return assertThrows(UnusableRequest.class, () -> Judged.of(move, sources, sources.index()))
        .getMessage();
  }

  @Test
  void saysWhatIsNoPackageAndNoMove() {
    assertEquals("Desk is in ferry already.", unusable("Desk", "ferry"));
    assertEquals("No package can be named a..b.", unusable("Desk", "a..b"));
    assertEquals("A type does not go into itself.", unusable("Desk", "ferry.Desk.Till"));
    assertEquals("There is no type Dusk in this project.", unusable("Dusk", "ferry.desk"));
  }

  @Test
  void isTypedAsItIsPrinted() {
    assertEquals(
        "pare move class ferry.Desk --to ferry.sales --accept reflected",
        new MoveType("ferry.Desk", "ferry.sales", Set.of(RefusalKind.REFLECTED)).command());
  }
}
