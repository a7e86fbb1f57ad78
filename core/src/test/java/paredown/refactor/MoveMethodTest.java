package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.UnusableRequest;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.operation.movemethod.MoveMethod;

class MoveMethodTest {
  private static final Path CASES = Path.of("src/test/resources/move-method");
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> moveMethod() throws IOException {
    return RefactoringCase.all(CASES).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }

  private Sources sources() {
    return new Fixture(folder)
        .with(
            "src/ferry/Desk.java",
            "package ferry; class Desk { Quay a; Quay b; int n() { return 1; } int n(int i) {"
                + " return i; } int of(Quay a) { return a.length(); } }")
        .with("src/ferry/Quay.java", "package ferry; class Quay { int length() { return 1; } }")
        .with("src/ferry/Tide.java", "package ferry; class Tide {}")
        .sources();
  }

  private UnusableRequest unusable(String method, String target, MoveMethod.Wishes wishes) {
    Sources sources = sources();
    return assertThrows(
        UnusableRequest.class,
        () ->
            new MoveMethod("Desk", method, target, wishes).plan(sources, new SourceIndex(sources)));
  }

  @Test
  void asksWhichWhereSeveralMethodsHaveTheName() {
    UnusableRequest problem = unusable("n", "Tide", MoveMethod.Wishes.NONE);
    assertEquals("Desk has 2 methods n.", problem.getMessage());
    assertEquals("Say which: 'Desk#n()' and 'Desk#n(int)'.", problem.advice());
  }

  @Test
  void asksWhichWayWhereSeveralLeadToTheTarget() {
    UnusableRequest problem = unusable("n()", "Quay", MoveMethod.Wishes.NONE);
    assertEquals(
        "Say which with --through: a, b, static, new, new-field or callers.", problem.advice());
  }

  @Test
  void saysWhatThereIsWhereNoWayLeadsToTheTarget() {
    UnusableRequest problem = unusable("of", "Tide", MoveMethod.Wishes.NONE);
    assertEquals("of(Quay) has no link to Tide.", problem.getMessage());
    assertTrue(problem.advice().contains("--through static"), problem.advice());
  }

  @Test
  void knowsTheWayThatIsNotThere() {
    UnusableRequest problem = unusable("of", "Quay", MoveMethod.Wishes.NONE.through("c"));
    assertEquals("of(Quay) does not reach a Quay through c.", problem.getMessage());
  }

  @Test
  void staysWhereItIsWhenItIsThereAlready() {
    UnusableRequest problem = unusable("of", "ferry.Desk", MoveMethod.Wishes.NONE);
    assertEquals("of is in ferry.Desk already.", problem.getMessage());
  }
}
