package paredown.smell;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.facts.Facts;
import paredown.facts.FactsDrawer;
import paredown.history.History;
import paredown.program.Program;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.smell.detector.Detectors;
import paredown.smell.detector.FieldClumps;
import paredown.smell.detector.GodClass;

class DetectorsTest {
  private static final String BERTH =
      """
      public class Berth {
        private int depth;
        private int length;
        private int height;
        private String name;
        private int number;
        private boolean closed;

        Berth(int depth) { this.depth = depth; }
        int depth() { return depth; }
        void setLength(int length) { this.length = length; }
        int room() { return depth * length * height; }
        boolean fits(int draught) { return draught < depth && draught < length; }
        boolean tall(int metres) { return metres > height + depth; }
        boolean wide() { return length > height; }
        String name() { return name; }
        %s
      }
      """;
  @TempDir Path folder;

  private List<Finding> find(String source, Limits limits) {
    Sources sources = new Fixture(folder).with("src/Berth.java", source).sources();
    Program program = Program.of(sources, sources.paths(SourceFile.Kind.MAIN));
    Facts facts = FactsDrawer.draw(program);
    return Detectors.find(Grounds.of(facts, History.NONE, limits)).stream()
        .filter(finding -> !finding.smell().isSmaller())
        .toList();
  }

  private List<Finding> find(String source) {
    return find(source, Limits.defaults());
  }

  @Test
  void findsFieldsThatAreAlwaysUsedTogether() {
    Finding clump = find(BERTH.formatted("")).get(0);
    assertEquals(Smell.DATA_CLUMP, clump.smell());
    assertEquals(List.of("depth", "length", "height"), clump.members());
    assertEquals("Berth", clump.type());
  }

  @Test
  void tellsWhatTwoDetectorsSeeInTheSameFieldsOnce() {
    String twin = "class Dock { int depth, length, height; int x; }";
    List<Form> clumps =
        Found.in(folder, BERTH.formatted(""), twin).all().stream()
            .filter(each -> each.smell() == Smell.DATA_CLUMP)
            .map(Finding::form)
            .toList();
    assertEquals(List.of(Form.FIELDS), clumps);
  }

  @Test
  void findsNoClumpWhereAMethodUsesAFieldAlone() {
    assertEquals(List.of(), find(BERTH.formatted("boolean deep() { return depth > 100; }")));
  }

  @Test
  void doesNotCallMoreThanHalfOfAClassAClump() {
    assertEquals(1, find(BERTH.formatted("")).size());
    assertEquals(List.of(), find(BERTH.formatted("").replace("private boolean closed;", "")));
  }

  /** A group of a field and three methods, each with many ways through it. */
  private static String group(String name, int ways) {
    String decisions = "if (%s > 1) { %s++; } ".formatted(name, name).repeat(ways);
    return "private int %s; void a%s() { %s } void b%s() { %s } void c%s() { %s } "
        .formatted(name, name, decisions, name, decisions, name, decisions);
  }

  private List<Smell> smells(String members) {
    return find("public class Berth { " + members + " }").stream().map(Finding::smell).toList();
  }

  @Test
  void callsAComplexClassAGodOnlyWhereItCanBeToldApart() {
    assertEquals(List.of(Smell.GOD_CLASS), smells(group("depth", 8) + group("length", 8)));
    assertEquals(List.of(), smells(group("depth", 20)));
    assertEquals(List.of(), smells(group("depth", 20) + "private int l; int l() { return l; }"));
  }

  @Test
  void callsAClassOfHalfThatAGodWhereThreeGroupsShareNothing() {
    String three = group("depth", 2) + group("length", 2) + group("height", 2);
    assertEquals(List.of(Smell.GOD_CLASS), smells(three));
    assertEquals(List.of(), smells(group("depth", 3) + group("length", 3)));
    assertEquals(List.of(), smells(three + "void all() { depth = length + height; }"));
  }

  @Test
  void leavesOutTheFieldsThatAloneHoldAClassTogether() {
    String log = "private int log; int log() { return log; } ";
    String shared = log + group("depth", 8) + group("length", 8);
    String ties = "void tell() { log = depth; } void say() { log = length; } ";
    String others = "class Quay { int a; } class Pier { int a; }";

    assertEquals(
        List.of("only log holds its groups together"),
        find("class Berth { " + shared + ties + "} " + others).stream()
            .filter(each -> each.smell() == Smell.GOD_CLASS)
            .map(each -> each.evidence().figures().get(3).words())
            .toList());
    String calls = "void tell() { adepth(); blength(); } ";
    assertTrue(
        find("class Berth { " + shared + calls + "} " + others).stream()
            .noneMatch(each -> each.smell() == Smell.GOD_CLASS));
  }

  @Test
  void findsNothingInRecordsAndInFilesWithErrors() {
    assertEquals(List.of(), find("record Berth(int a, int b, int c, int d) {}"));
    assertEquals(List.of(), find(BERTH.formatted("Missing gone;")));
  }

  @Test
  void keepsAnIdThatDependsOnNamesAlone() {
    String id = find(BERTH.formatted("")).get(0).id();
    String moved = find("\n\n/* moved down */\n" + BERTH.formatted("")).get(0).id();
    assertEquals(id, moved);
    assertTrue(id.matches("clump-[0-9a-f]{6}"), id);
    assertNotEquals(id, find(BERTH.formatted("").replace("height", "sill")).get(0).id());
  }

  @Test
  void takesItsLimitsFromTheSettings() {
    Limits strict = Limits.defaults().with(Map.of("clump-methods", 5));
    assertEquals(List.of(), find(BERTH.formatted(""), strict));
  }

  @Test
  void weighsMoreOfTheEvilNeverLess() {
    for (int more = 0; more < 40; more++) {
      assertTrue(FieldClumps.weight(4 + more, 5) >= FieldClumps.weight(3 + more, 5));
      assertTrue(FieldClumps.weight(4, 6 + more) >= FieldClumps.weight(4, 5 + more));
      int base = god(60 + more, 8, 0.2);
      assertTrue(god(61 + more, 8, 0.2) >= base);
      assertTrue(god(60 + more, 9 + more, 0.2) >= base);
      assertTrue(god(60 + more, 8, 0.1) >= base);
    }
    assertTrue(god(100_000, 100_000, 0) <= 100 && FieldClumps.weight(1000, 1000) <= 100);
    assertEquals(40, god(47, 5, 0.33));
  }

  private static int god(int complexity, int foreign, double cohesion) {
    return GodClass.weight(complexity, foreign, cohesion, Limits.defaults());
  }

  @Test
  void takesAVeryLargeClassThatHangsTogetherForOneTangle() {
    StringBuilder fields = new StringBuilder();
    StringBuilder methods = new StringBuilder();
    for (int i = 0; i < 8; i++) {
      fields.append("  int f%d;\n".formatted(i));
    }
    for (int i = 0; i < 63; i++) {
      methods.append(
          "  int m%d(Tide t, int x) { if (x > %d && x < t.f%d) { n += x; } return n > x ? n : t.f%d; }\n"
              .formatted(i, i, i % 8, (i + 1) % 8));
    }
    String tide = "public class Tide {\n" + fields + "}\n";
    String pilot = "public class Pilot {\n  private int n;\n%s}\n";
    Found found = Found.in(folder, tide, pilot.formatted(methods));
    assertTrue(
        found.of(Form.WHOLE).contains("Pilot: one tangle of 64 members; the data of 1 other class"),
        found.of(Form.WHOLE).toString());
    String few = methods.substring(0, methods.indexOf("  int m50("));
    assertTrue(
        Found.in(folder.resolve("few"), tide, pilot.formatted(few)).of(Form.WHOLE).stream()
            .noneMatch(each -> each.startsWith("Pilot: one tangle")));
  }
}
