package paredown.gate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Piece;
import paredown.edit.Rendering;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Sources;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.text.SourceText;

/** Plants changes that compile and yet bind differently, and sees each caught. */
class BindingsKeptTest {
  @TempDir Path folder;
  private final Map<String, List<Replacement>> edits = new TreeMap<>();
  private final Map<String, String> became = new TreeMap<>();
  private Fixture fixture;
  private Sources sources;

  private void given(String... pathsAndTexts) {
    fixture = new Fixture(folder);
    for (int i = 0; i < pathsAndTexts.length; i += 2) {
      fixture.with("src/" + pathsAndTexts[i], pathsAndTexts[i + 1]);
    }
    sources = fixture.sources();
  }

  private String text(String file) {
    return sources.text("src/" + file).text();
  }

  /** Replaces the first occurrence of some text by pieces. */
  private void replace(String file, String old, Piece... pieces) {
    int start = text(file).indexOf(old);
    assertTrue(start >= 0, old);
    edits
        .computeIfAbsent("src/" + file, f -> new ArrayList<>())
        .add(Replacement.of(start, start + old.length(), pieces));
  }

  private void insertBefore(String file, String mark, String text) {
    int start = text(file).indexOf(mark);
    edits
        .computeIfAbsent("src/" + file, f -> new ArrayList<>())
        .add(Replacement.of(start, start, Written.plain(text)));
  }

  private Verdict verdict() {
    List<String> paths = sources.files().stream().map(file -> file.path()).toList();
    List<ChangedFile> files = new ArrayList<>();
    edits.forEach(
        (path, replacements) ->
            files.add(Rendering.edited(sources.text(path), replacements, sources::text)));
    Change change =
        new Change(
            "a planted change",
            files,
            became,
            Map.of(),
            new TreeSet<>(paths),
            new Change.Report(List.of(), List.of(), List.of(), List.of()));
    Program before = Program.of(sources, paths);
    return Gates.check(before, change);
  }

  private void assertCaught(String word) {
    Verdict verdict = verdict();
    assertEquals(List.of(), verdict.errors(), "it must compile, or it proves nothing");
    assertTrue(verdict.breaks().stream().anyMatch(each -> each.contains(word)), verdict.toString());
  }

  @Test
  void findsNothingWrongWithAComment() {
    given("A.java", "class A { int depth; int twice() { return depth * 2; } }\n");
    insertBefore("A.java", "int twice", "/* of water */ ");
    assertEquals(List.of(), verdict().breaks());
    assertTrue(verdict().names() > 1);
  }

  @Test
  void catchesALocalThatShadowsAField() {
    given("A.java", "class A { int depth; int m() { return depth; } }\n");
    insertBefore("A.java", "return", "int depth = 1; ");
    assertCaught("depth");
  }

  @Test
  void catchesAFieldThatShadowsAnInheritedOne() {
    given("A.java", "class A { int depth; }\nclass B extends A { int m() { return depth; } }\n");
    insertBefore("A.java", "int m()", "int depth; ");
    assertCaught("depth");
  }

  @Test
  void catchesAnInheritedMemberThatHidesAnOuterOne() {
    given(
        "A.java",
        "class Base { }\n"
            + "class A { int tide() { return 1; }\n"
            + "  class Inner extends Base { int m() { return tide(); } } }\n");
    insertBefore("A.java", "}\nclass A", "int tide() { return 2; } ");
    assertCaught("tide");
  }

  @Test
  void catchesAMoreSpecificOverload() {
    given("A.java", "class A { void berth(Object o) { } void m() { berth(\"north\"); } }\n");
    insertBefore("A.java", "void m()", "void berth(String s) { } ");
    assertCaught("berth");
  }

  @Test
  void catchesAMoreSpecificOverloadInAMethodReference() {
    given(
        "A.java",
        "class A { static void berth(Object o) { }\n"
            + "  java.util.function.Consumer<String> c = A::berth; }\n");
    insertBefore("A.java", "static void", "static void berth(String s) { } ");
    assertCaught("berth");
  }

  @Test
  void catchesAnAccidentalOverride() {
    given(
        "A.java",
        "class A { int fare() { return 1; } }\nclass B extends A { int toll() { return 2; } }\n");
    insertBefore("A.java", "int toll", "int fare() { return 3; } ");
    assertCaught("fare");
  }

  @Test
  void catchesAStaticImportThatIsHiddenByAMember() {
    given(
        "p/Fares.java",
        "package p; public class Fares { public static int adult() { return 1; } }\n",
        "q/A.java",
        "package q; import static p.Fares.adult; class B { }\n"
            + "class A extends B { int m() { return adult(); } }\n");
    insertBefore("q/A.java", "}\nclass A", "static int adult() { return 2; } ");
    assertCaught("adult");
  }

  @Test
  void catchesANestedTypeThatHidesAnOuterOne() {
    given("A.java", "class Leg { }\nclass A { Leg leg; }\n");
    insertBefore("A.java", "Leg leg", "static class Leg { } ");
    assertCaught("Leg");
  }

  @Test
  void catchesAConstantOfAnotherValue() {
    given("A.java", "class A { static final int BASE = 1; static final int TOP = BASE + 1; }\n");
    replace("A.java", "= 1", Written.plain("= 2"));
    assertCaught("constant");
  }

  @Test
  void catchesAWidenedType() {
    given("A.java", "class A { int m() { var depth = 1; return (int) (depth / 2); } }\n");
    replace("A.java", "= 1;", Written.plain("= 1L;"));
    assertCaught("inferred");
  }

  @Test
  void catchesAnotherConstructorOfASuperclass() {
    given("A.java", "class Base { Base(Object... o) { } }\nclass A extends Base { A() { } }\n");
    insertBefore("A.java", "}\nclass A", "Base() { } ");
    assertCaught("begin with constructor Base() instead of constructor Base(Object[])");
  }

  @Test
  void catchesAUseThatWasForgotten() {
    given("A.java", "class A { int depth; int m() { return depth; } }\n");
    replace("A.java", "return depth", Written.plain("return 0"));
    assertCaught("was forgotten");
  }

  @Test
  void catchesANameThatNobodyMeant() {
    given("A.java", "class A { int depth; int m() { return 0; } }\n");
    replace("A.java", "return 0", Written.plain("return depth"));
    assertCaught("which nobody meant");
  }

  @Test
  void catchesAWrittenNameThatMeansSomethingElse() {
    given("A.java", "class A { int depth; int m(int depth) { return 0; } }\n");
    replace("A.java", "return 0", Written.text("return ").name("depth", "field A#depth").done());
    assertCaught("depth would mean a local variable instead of field A#depth");
  }

  @Test
  void catchesAUseThatIsThereTwice() {
    given("A.java", "class A { int depth; int m() { return depth; } }\n");
    int start = text("A.java").indexOf("depth; }");
    replace(
        "A.java",
        "int m()",
        Written.plain("int n() { return "),
        Carried.range("src/A.java", start, start + 5),
        Written.plain("; } int m()"));
    assertCaught("would be there twice");
  }

  @Test
  void catchesAReplacementThatStandsForTheWrongUse() {
    given("A.java", "class A { int depth; int width; int m() { return depth + width; } }\n");
    int depth = text("A.java").indexOf("depth + ");
    Use.Place place = new Use.Place("src/A.java", depth, UseKind.NAME);
    Use.Place receiver = new Use.Place("src/A.java", depth, UseKind.RECEIVER);
    replace(
        "A.java",
        "depth + width",
        Written.text("")
            .here(UseKind.RECEIVER, "type A", receiver)
            .name("depth", "field A#depth", place)
            .done());
    assertCaught("width");
  }

  @Test
  void reportsAnErrorThatWasNotThereBefore() {
    given("A.java", "class A { int m() { return 1; } }\n");
    replace("A.java", "return 1;", Written.plain("return;"));
    assertEquals(1, verdict().errors().size());
  }

  @Test
  void forgivesAnErrorThatWasThereBefore() {
    given("A.java", "class A { Missing gone; int m() { return 1; } }\n");
    insertBefore("A.java", "class", "/* moved along */ ");
    assertTrue(verdict().passed(), verdict().toString());
  }

  @Test
  void knowsARenamedMemberByWhatItBecame() {
    given("A.java", "class A { int depth; }\n");
    SourceText source = sources.text("src/A.java");
    int name = source.text().indexOf("depth");
    edits.put(source.path(), List.of(Replacement.of(name, name + 5, Written.plain("metres"))));
    became.put("field A#depth", "field A#metres");
    assertTrue(verdict().passed(), verdict().toString());
  }

  /** Takes a method of one class up to another, which a third one has in its own way. */
  private void takeUp(String caller) {
    given(
        "A.java",
        "class A { }\nclass B extends A { int m() { return 1; } "
            + caller
            + " }\nclass C extends A { @Override public String toString() { return \"\"; } }\n",
        "D.java",
        "class D extends A {  int m() { return 2; } }\n");
    String method = "int m() { return 1; }";
    int start = text("A.java").indexOf(method);
    replace("A.java", "{ }", Written.plain("{ "), carried(start, method), Written.plain(" }"));
    replace("A.java", method);
    replace(
        "D.java",
        " int m",
        Written.plain(" int "),
        Written.text("").here(UseKind.OVERRIDES, "method A#m()", null).text("m").done());
    became.put("method B#m()", "method A#m()");
  }

  private static Carried carried(int start, String text) {
    return Carried.range("src/A.java", start, start + text.length());
  }

  @Test
  void knowsAMethodThatAnotherClassOverridesSinceItCameUp() {
    takeUp("int n() { return m() + new B().m(); }");
    assertTrue(verdict().passed(), verdict().toString());
  }

  @Test
  void catchesAMethodThatCameUpAndIsAskedOfAnotherObject() {
    takeUp("A other; int n() { return new B().m(); }");
    int call = text("A.java").indexOf("new B()");
    Written other =
        Written.text("")
            .here(UseKind.RECEIVER, "type B", null)
            .name("other", "field B#other", null)
            .done();
    edits.get("src/A.java").add(Replacement.of(call, call + 7, other));
    assertEquals(
        List.of("an object of D that is asked for A#m() would run D#m() instead of A#m()"),
        verdict().dispatch());
  }
}
