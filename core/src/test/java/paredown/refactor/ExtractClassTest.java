package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
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
import paredown.edit.Change;
import paredown.gate.Gates;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.Module;
import paredown.project.Project;
import paredown.refactor.operation.extractclass.ExtractClass;

class ExtractClassTest {
  private static final Path CASES = Path.of("src/test/resources/extract-class");
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> extractClass() throws IOException {
    return RefactoringCase.all(CASES).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }

  private Change plan(Sources sources, ExtractClass operation) {
    Refactoring.Planned planned = operation.plan(sources, new SourceIndex(sources));
    assertTrue(Gates.check(planned.program(), planned.change()).passed());
    return planned.change();
  }

  @Test
  void keepsTheEncodingOfTheFile() throws IOException {
    String text = "class Sailing {\n  /** Die F\u00e4hre. */\n  int a;\n  int b;\n}\n";
    Sources sources =
        new Fixture(folder)
            .with("src/Sailing.java", text.getBytes(StandardCharsets.ISO_8859_1))
            .with("pare.yaml", "encoding: ISO-8859-1\n")
            .sources();
    Change change = plan(sources, new ExtractClass("Sailing", List.of("a"), List.of(), "Passage"));
    var created = change.file("src/Passage.java").orElseThrow().after();
    assertEquals(StandardCharsets.ISO_8859_1, created.charset());
    String bytes = new String(created.encode(created.text()), StandardCharsets.ISO_8859_1);
    assertTrue(bytes.contains("/** Die F\u00e4hre. */"), bytes);
  }

  @Test
  void refusesAFileThatIsNoTextInItsEncoding() {
    byte[] bytes = "class A { int a; int b; } // F\u00e4hre".getBytes(StandardCharsets.ISO_8859_1);
    Sources sources = new Fixture(folder).with("src/A.java", bytes).sources();
    ExtractClass operation = new ExtractClass("A", List.of("a"), List.of(), "Part");
    Refused refused =
        assertThrows(Refused.class, () -> operation.plan(sources, new SourceIndex(sources)));
    assertEquals(RefusalKind.GARBLED, refused.kind());
  }

  @Test
  void refusesToChangeWhatTheBuildGenerates() {
    Fixture fixture =
        new Fixture(folder)
            .with("src/ferry/Sailing.java", "package ferry; class Sailing { int a; int b; }")
            .with(
                "gen/ferry/Codes.java",
                "package ferry; class Codes { int c(Sailing s) { return s.a; } }");
    Project plain = fixture.project();
    Module module = plain.modules().get(0);
    Module generating =
        new Module(
            module.name(),
            module.directory(),
            module.mainRoots(),
            module.testRoots(),
            List.of(plain.root().resolve("gen")),
            module.classPath(),
            module.release(),
            module.encoding());
    Sources sources =
        new Sources(new Project(plain.root(), plain.tool(), List.of(generating), plain.settings()));
    ExtractClass operation = new ExtractClass("Sailing", List.of("a"), List.of(), "Part");
    Refused refused =
        assertThrows(Refused.class, () -> operation.plan(sources, new SourceIndex(sources)));
    assertEquals(RefusalKind.GENERATED, refused.kind());
    assertEquals(List.of("gen/ferry/Codes.java"), refused.places());
  }

  @Test
  void hasAnIdThatDependsOnItsContentAlone() {
    Sources sources =
        new Fixture(folder).with("src/A.java", "class A { int a; int b; }\n").sources();
    Change one = plan(sources, new ExtractClass("A", List.of("a"), List.of(), "Part"));
    Change same = plan(sources, new ExtractClass("A", List.of("a"), List.of(), "Part"));
    Change other = plan(sources, new ExtractClass("A", List.of("b"), List.of(), "Part"));
    assertEquals(one.id(), same.id());
    assertTrue(!one.id().equals(other.id()));
    assertTrue(one.id().matches("[0-9a-f]{6}"));
  }

  private Sources hold() {
    String text =
        """
        class Hold {
          private int taken;
          private int limit;
          private String name;

          int free() {
            return limit - taken + name().length();
          }

          boolean isEmpty() {
            return taken == 0;
          }

          int limit() {
            return limit;
          }

          private String name() {
            return name;
          }
        }
        """;
    return new Fixture(folder).with("src/Hold.java", text).sources();
  }

  @Test
  void saysAllThatAMethodNeedsAndWhatItCosts() {
    Sources sources = hold();
    ExtractClass operation = new ExtractClass("Hold", List.of("taken"), List.of("free"), "Part");
    Refused refused =
        assertThrows(Refused.class, () -> operation.plan(sources, new SourceIndex(sources)));
    assertTrue(
        refused.getMessage().contains("limit (1 other use) and name() (no other use)"),
        refused.getMessage());
    assertEquals(List.of("src/Hold.java:7"), refused.places());
  }

  @Test
  void passesNoObjectInWhereAllIsStatic() {
    Sources sources =
        new Fixture(folder).with("src/A.java", "class A { static int a; int b; }\n").sources();
    ExtractClass.Wishes wishes = ExtractClass.Wishes.NONE.passIn(ExtractClass.PassIn.SETTER);
    ExtractClass operation = new ExtractClass("A", List.of("a"), List.of(), "Part", wishes);
    UnusableRequest unusable =
        assertThrows(
            UnusableRequest.class, () -> operation.plan(sources, new SourceIndex(sources)));
    assertTrue(unusable.getMessage().contains("no object to pass in"), unusable.getMessage());
  }

  @Test
  void asksForSomethingThatLeaves() {
    Sources sources = new Fixture(folder).with("src/A.java", "class A { int b; }\n").sources();
    ExtractClass operation = new ExtractClass("A", List.of(), List.of(), "Part");
    UnusableRequest unusable =
        assertThrows(
            UnusableRequest.class, () -> operation.plan(sources, new SourceIndex(sources)));
    assertEquals("Say --fields, --methods or both.", unusable.advice());
  }

  @Test
  void saysWhichMethodsUseNothingElse() {
    Change change = plan(hold(), new ExtractClass("Hold", List.of("taken"), List.of(), "Part"));
    assertEquals(
        List.of("isEmpty() uses nothing else; to take it along: --methods 'isEmpty()'"),
        change.report().notes());
  }

  private UnusableRequest unusable(String type, String field, String method, String name) {
    Sources sources =
        new Fixture(folder)
            .with("src/p/Sailing.java", "package p; class Sailing { int departs; void sail() {} }")
            .with("src/q/Sailing.java", "package q; class Sailing { int departs; }")
            .sources();
    ExtractClass operation =
        new ExtractClass(
            type, List.of(field), method.isEmpty() ? List.of() : List.of(method), name);
    return assertThrows(
        UnusableRequest.class, () -> operation.plan(sources, new SourceIndex(sources)));
  }

  @Test
  void namesTheNearestTypeForAMisspeltOne() {
    UnusableRequest e = unusable("Sayling", "departs", "", "Passage");
    assertEquals("Did you mean p.Sailing or q.Sailing?", e.advice());
  }

  @Test
  void namesTheCandidatesForAnAmbiguousType() {
    UnusableRequest e = unusable("Sailing", "departs", "", "Passage");
    assertTrue(e.advice().contains("p.Sailing, q.Sailing"), e.advice());
  }

  @Test
  void namesTheNearestFieldAndMethod() {
    assertEquals("Did you mean departs?", unusable("p.Sailing", "depart", "", "Passage").advice());
    assertEquals(
        "Did you mean sail?", unusable("p.Sailing", "departs", "sial", "Passage").advice());
  }

  @Test
  void asksForANameThatIsOne() {
    for (String name : List.of("class", "4Passage", "a-b", "var", "")) {
      assertTrue(
          unusable("p.Sailing", "departs", "", name).getMessage().startsWith("No class can be"));
    }
  }
}
