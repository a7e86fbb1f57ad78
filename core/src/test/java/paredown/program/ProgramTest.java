package paredown.program;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreePath;
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
    assertEquals(List.of(), codes(Program.withoutFlowAndDocs(sources, files)));
  }

  @Test
  void resolvesNamesWithoutLookingAtTheFlow() {
    Sources sources =
        new Fixture(folder)
            .with("src/ferry/Desk.java", "package ferry; class Desk { Quay quay; }")
            .sources();
    assertEquals(
        List.of("compiler.err.cant.resolve.location"),
        codes(Program.withoutFlowAndDocs(sources, List.of("src/ferry/Desk.java"))));
  }

  @Test
  void passesOverDocumentationWithoutMovingAnything() {
    String file = "src/ferry/Desk.java";
    String text =
        "package ferry;\r\n\t/** A {@link Quay}. */ class Desk {\r"
            + "  /**/ String slashes = \"/**\"; /** Named. */ int berth; }";
    Sources sources = new Fixture(folder).with(file, text).sources();
    Program bare = Program.withoutFlowAndDocs(sources, List.of(file));
    assertEquals(List.of(), codes(bare));
    CompilationUnitTree tree = bare.unit(file).orElseThrow().tree();
    Tree type = tree.getTypeDecls().get(0);
    assertNull(bare.trees().getDocComment(TreePath.getPath(tree, type)));
    SourcePositions places = bare.trees().getSourcePositions();
    assertEquals(text.indexOf("class"), places.getStartPosition(tree, type));
    assertEquals(text.length(), places.getEndPosition(tree, type));
  }
}
