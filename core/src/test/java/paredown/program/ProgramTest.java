package paredown.program;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;

class ProgramTest {
  @TempDir Path folder;

  private static List<String> codes(Program program) {
    return program.errors().stream().map(CompileError::code).toList();
  }

  @Test
  void letsMainCodeSeeNoTests() {
    Sources sources =
        new Fixture(folder)
            .with("src/main/java/ferry/Desk.java", "package ferry; class Desk { Trial trial; }")
            .with("src/test/java/ferry/Trial.java", "package ferry; class Trial { Desk desk; }")
            .sources();
    assertEquals(
        List.of("compiler.err.cant.resolve.location"),
        codes(Program.of(sources, List.of("src/main/java/ferry/Desk.java"))));
  }

  @Test
  void letsTestsSeeMainCodeAndEachOther() {
    Sources sources =
        new Fixture(folder)
            .with("src/main/java/ferry/Desk.java", "package ferry; class Desk {}")
            .with("src/test/java/ferry/Other.java", "package ferry; class Other {}")
            .with(
                "src/test/java/ferry/Trial.java",
                "package ferry; class Trial { Desk desk; Other other; }")
            .sources();
    assertEquals(List.of(), codes(Program.of(sources, List.of("src/test/java/ferry/Trial.java"))));
  }

  @Test
  void looksAtTheFlowOfCodeOnlyWhereItIsWanted() {
    Sources sources =
        new Fixture(folder)
            .with("src/ferry/Desk.java", "package ferry; class Desk { int open() {} }")
            .sources();
    List<String> files = List.of("src/ferry/Desk.java");
    assertEquals(List.of("compiler.err.missing.ret.stmt"), codes(Program.of(sources, files)));
    assertEquals(List.of(), codes(Program.withoutFlow(sources, files)));
  }

  @Test
  void resolvesNamesWithoutLookingAtTheFlow() {
    Sources sources =
        new Fixture(folder)
            .with("src/ferry/Desk.java", "package ferry; class Desk { Quay quay; }")
            .sources();
    assertEquals(
        List.of("compiler.err.cant.resolve.location"),
        codes(Program.withoutFlow(sources, List.of("src/ferry/Desk.java"))));
  }
}
