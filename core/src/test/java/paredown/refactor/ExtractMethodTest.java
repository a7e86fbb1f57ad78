package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.UnusableRequest;
import paredown.program.Sources;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.plan.Judged;

class ExtractMethodTest {
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> extractMethod() throws IOException {
    return RefactoringCase.all(Path.of("src/test/resources/extract-method")).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }

  private UnusableRequest unusable(String place) {
    Sources sources =
        new Fixture(folder)
            .with(
                "src/ferry/Desk.java",
                """
                package ferry;

                class Desk {
                  int n = 1;

                  int f(int k) {
                    int m = k
                        + 1;
                    return m;
                  }
                }
                """)
            .sources();
    ExtractMethod extract = new ExtractMethod(place, "g");
    return assertThrows(UnusableRequest.class, () -> Judged.of(extract, sources, sources.index()));
  }

  @Test
  void saysWhichLinesWouldDoWhereARangeCutsThroughCode() {
    UnusableRequest met = unusable("Desk:8-9");
    assertEquals(
        "Lines 8 to 9 of src/ferry/Desk.java are neither whole statements of one block nor a whole"
            + " expression.",
        met.getMessage());
    assertEquals("This would do: src/ferry/Desk.java:7-9.", met.advice());
  }

  @Test
  void saysWhatIsNoPlace() {
    assertEquals("Desk names no place.", unusable("Desk").getMessage());
    assertEquals("src/ferry/Desk.java:4 is in no method.", unusable("Desk:4:11-4:11").getMessage());
    assertEquals(
        "src/ferry/Desk.java has no lines 20 to 21; its last is 12.",
        unusable("Desk:20-21").getMessage());
    assertEquals("There is no code in Desk:5.", unusable("Desk:5").getMessage());
    assertEquals(
        "There is no source file Dusk.java in this project.", unusable("Dusk.java:5").getMessage());
  }

  @Test
  void leavesANumberOfASmallTypeThatBecomesTextOrAnObject() {
    String method =
        "int %s(%s height, Object[] log) {\nlog[0] = %s;\nlog[1] = height + 1;\nreturn 2; }\n";
    for (String use : List.of("height", "\"at \" + height", "log.length > 2 ? height : 'a'")) {
      String source = method.formatted("a", "byte", use) + method.formatted("b", "int", use);
      Sources sources =
          new Fixture(folder).with("src/Desk.java", "class Desk { " + source + "}").sources();
      ExtractMethod extract = new ExtractMethod("Desk.java:2-3", "g").with(Duplicates.ALL);
      UnusableRequest met =
          assertThrows(
              UnusableRequest.class, () -> Judged.of(extract, sources, sources.index()), use);
      assertEquals(
          "No other place of Desk says the same and could call it: line 6 has variables of other"
              + " types.",
          met.getMessage());
    }
  }

  @Test
  void isTypedAsItIsPrinted() {
    assertEquals(
        "pare extract method 'Desk#f:7-8' --name g",
        new ExtractMethod("Desk#f:7-8", "g").command());
  }
}
