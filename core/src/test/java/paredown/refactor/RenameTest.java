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
import paredown.refactor.operation.rename.Rename;
import paredown.refactor.plan.Judged;

class RenameTest {
  private static final Path CASES = Path.of("src/test/resources/rename");
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> rename() throws IOException {
    return RefactoringCase.all(CASES).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }

  private String unusable(String member, String variable, String name) {
    Sources sources =
        new Fixture(folder)
            .with(
                "src/ferry/Desk.java",
                "package ferry; class Desk { int n; int f() { { int i; } int i; return n; } int"
                    + " f(int k) { return k; } }")
            .sources();
    Rename rename = new Rename("Desk", member, variable, name, false, Set.of());
    return assertThrows(UnusableRequest.class, () -> Judged.of(rename, sources, sources.index()))
        .getMessage();
  }

  @Test
  void saysWhatIsMeantByMoreThanOneOrByNone() {
    assertEquals("Desk has 2 methods f.", unusable("f", "", "g"));
    assertEquals("Desk has no method m().", unusable("m()", "", "g"));
    assertEquals("Desk has no field and no method m.", unusable("m", "", "g"));
    assertEquals("f() has 2 variables i.", unusable("f()", "i", "g"));
    assertEquals("f(int) has no variable i.", unusable("f(int)", "i", "g"));
    assertEquals("It is named n already.", unusable("n", "", "n"));
    assertEquals("No field, method or variable can be named 1.", unusable("n", "", "1"));
  }

  @Test
  void takesAccessorsOfFieldsAlone() {
    Sources sources =
        new Fixture(folder)
            .with(
                "src/ferry/Desk.java", "package ferry; class Desk { int n; int f() { return n; } }")
            .sources();
    assertEquals(
        "n of Desk becomes k; it has no plain accessor.",
        Judged.of(new Rename("Desk", "n", "", "k", true, Set.of()), sources, sources.index())
            .change()
            .summary());
    Rename method = new Rename("Desk", "f", "", "g", true, Set.of());
    UnusableRequest met =
        assertThrows(UnusableRequest.class, () -> Judged.of(method, sources, sources.index()));
    assertEquals("Desk has no field f.", met.getMessage());
  }

  @Test
  void isTypedAsItIsPrinted() {
    Rename rename = new Rename("Desk", "f(int)", "k", "days", false, Set.of(RefusalKind.REFLECTED));
    assertEquals("pare rename 'Desk#f(int)#k' --name days --accept reflected", rename.command());
  }
}
