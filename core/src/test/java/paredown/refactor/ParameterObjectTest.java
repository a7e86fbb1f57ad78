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
import paredown.refactor.operation.parameterobject.ExtractParameterObject;
import paredown.refactor.plan.Judged;

class ParameterObjectTest {
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> extractParameterObject() throws IOException {
    return RefactoringCase.all(Path.of("src/test/resources/parameter-object")).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }

  private UnusableRequest unusable(String method, String parameters) {
    Sources sources =
        new Fixture(folder)
            .with(
                "src/ferry/Tide.java",
                """
                package ferry;

                class Tide {
                  Tide(int from, int until) {}

                  Tide(int from, int until, String name) {}

                  int depth(int x, int y) {
                    return x + y;
                  }
                }

                record Spot(int x, int z) {}
                """)
            .sources();
    ExtractParameterObject extract =
        new ExtractParameterObject(
            "Tide", method, List.of(parameters.split(",")), "Spot", false, false);
    return assertThrows(UnusableRequest.class, () -> Judged.of(extract, sources, sources.index()));
  }

  @Test
  void saysWhatThereIsWhereSomethingElseIsNamed() {
    UnusableRequest several = unusable("Tide", "from,until");
    assertEquals("2 constructors of Tide take them.", several.getMessage());
    assertEquals("Say which: Tide(int,int), Tide(int,int,String).", several.advice());
    assertEquals(
        "No constructor of Tide takes from and berth.",
        unusable("Tide", "from,berth").getMessage());
    assertEquals("depth(int,int) has no parameter z.", unusable("depth", "x,z").getMessage());
    assertEquals("One parameter is no object.", unusable("depth", "x").getMessage());
  }

  @Test
  void leavesAClassAloneThatHoldsOtherValues() {
    UnusableRequest other = unusable("depth", "x,y");
    assertEquals(
        "There is a class Spot already, which does not just keep x and y and give them.",
        other.getMessage());
    assertEquals("Choose another --name.", other.advice());
  }
}
