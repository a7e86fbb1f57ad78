package paredown.smell;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SmallerSmellsTest {
  @TempDir Path folder;

  private List<String> find(Smell smell, String... sources) {
    return Found.in(folder, sources).all().stream()
        .filter(finding -> finding.smell() == smell)
        .map(finding -> finding.shortType() + ": " + finding.summary())
        .toList();
  }

  private static String longMethod(int lines) {
    String decides = "    if (x > %d) {\n      x--;\n    }\n";
    StringBuilder body = new StringBuilder("    // count down\n");
    for (int i = 0; i < lines / 6; i++) {
      body.append(decides.formatted(i));
    }
    body.append("\n    int sum = 0;\n");
    for (int i = 0; i < lines / 6; i++) {
      body.append("    sum += " + i + ";\n    sum--;\n    x++;\n");
    }
    return "public class Berth {\n  int work(int x) {\n" + body + "\n    return sum;\n  }\n}\n";
  }

  /** A method that does the same number of things one after the other. */
  private static String dense(String each, int times) {
    return "public class Sheet { void print(int n) {\n" + each.repeat(times) + "} }";
  }

  @Test
  void findsAMethodOfTwoThirdsOfAScreenThatDoesADozenThingsInARow() {
    String loop = "  for (int i = 0; i < n; i++) {\n    System.out.print(i);\n  }\n";
    assertEquals(
        List.of("Sheet: print runs over 44 lines, 14 statements in a row"),
        find(Smell.LONG_METHOD, dense(loop, 14)));
    assertEquals(List.of(), find(Smell.LONG_METHOD, dense(loop, 11)));
    String guard = "  if (n == 3) {\n    return;\n  }\n";
    assertEquals(List.of(), find(Smell.LONG_METHOD, dense(guard, 14)));
  }

  @Test
  void findsALongMethodAndNamesItsStages() {
    Found found = Found.in(folder, longMethod(90));
    Finding method =
        found.all().stream()
            .filter(finding -> finding.smell() == Smell.LONG_METHOD)
            .findFirst()
            .orElseThrow();
    List<Evidence.Row> rows = method.evidence().rows();
    assertEquals(List.of("count down"), rows.get(1).uses());
    assertEquals(List.of("sets sum"), rows.get(2).uses());
    assertEquals(4, rows.size());
    assertEquals(List.of(), find(Smell.LONG_METHOD, longMethod(40)));
  }

  @Test
  void findsAChainThatReachesThroughThreeObjects() {
    String[] line = {
      "public class Quay { Berth berth; Berth berth() { return berth; } }",
      "public class Berth { Ship ship; Ship ship() { return ship; } }",
      "public class Ship { String name; String name() { return name; } }",
      "public class Board { int n; String x(Quay q) { n++; return q.berth().ship().name(); } }"
    };
    assertEquals(List.of("Board: x reaches through 3 objects"), find(Smell.MESSAGE_CHAIN, line));
    line[3] = "public class Board { int n; String x(Berth b) { n++; return b.ship().name(); } }";
    assertEquals(List.of(), find(Smell.MESSAGE_CHAIN, line));
  }

  @Test
  void takesABuildersChainForALanguage() {
    assertEquals(
        List.of(),
        find(
            Smell.MESSAGE_CHAIN,
            "public class Plan { int n; Plan a() { n++; return this; } Plan b() { return a(); } }",
            "public class Desk { int m; Plan x(Plan p) { m++; return p.a().b().a().b(); } }"));
  }

  @Test
  void findsMethodsThatStandTwiceBelowOneParent() {
    String sub =
        "public class %s extends Ship { int load(int x) { x++; /* %s */ x--; return x + w; } }";
    String ship = "public class Ship { int w; }";
    assertEquals(
        List.of("Ferry: load stands in Ferry and Tug word for word"),
        find(Smell.TWIN_MEMBER, ship, sub.formatted("Ferry", "a"), sub.formatted("Tug", "b")));
    assertEquals(
        List.of(),
        find(
            Smell.TWIN_MEMBER,
            ship,
            sub.formatted("Ferry", ""),
            sub.formatted("Tug", "").replace("x--", "x -= 2")));
  }

  @Test
  void findsSwitchesOverAnEnumInSeveralPlaces() {
    String kinds = "public enum Tide { EBB, FLOOD, SLACK }";
    String desk =
        """
        public class %s {
          int n;
          int x(Tide t) {
            switch (t) { case EBB: n++; return 1; case FLOOD: return 2; default: return 3; }
          }
        }
        """;
    assertEquals(
        List.of("Tide: 2 places outside it tell its kinds apart"),
        find(Smell.KIND_BRANCH, kinds, desk.formatted("Desk"), desk.formatted("Board")));
    assertEquals(
        List.of(),
        find(Smell.KIND_BRANCH, kinds, desk.formatted("Pier"), "class X {}").stream()
            .filter(each -> each.contains("Pier"))
            .toList());
  }

  @Test
  void comparisonsTellKindsApartAndWhoHasAKindMay() {
    String kinds = "public enum Tide { EBB, FLOOD, SLACK }";
    String log = "public class Log { private Tide tide; public Tide tide() { return tide; } %s }";
    String tells =
        """
        public class %s { int n;
          int due(Log log) {
            if (log.tide() == Tide.EBB) { return n; } else if (Tide.FLOOD == log.tide()) { return 2; }
            return log.tide() != Tide.SLACK ? 4 : 5;
          }
        }
        """;
    assertEquals(
        List.of("Tide: 2 places outside it tell its kinds apart"),
        find(
            Smell.KIND_BRANCH,
            kinds,
            log.formatted(""),
            tells.formatted("Desk"),
            tells.formatted("Pier")));
    String own =
        "int a() { switch (tide) { case EBB: return 1; case FLOOD: return 2; default: return 3; } }"
            + " int b() { switch (tide) { case EBB: return 4; case FLOOD: return 5; default: return 6; } }";
    assertEquals(
        List.of("Tide: 3 places outside it tell its kinds apart"),
        find(Smell.KIND_BRANCH, kinds, log.formatted(own), tells.formatted("Quay")));
  }

  @Test
  void findsARowOfTestsForClasses() {
    String desk =
        """
        public class Desk {
          int n;
          static class A {} static class B {} static class C {}
          int x(Object o) {
            n++;
            if (o instanceof A) { return 1; }
            if (o instanceof B) { return 2; }
            return o instanceof C ? 3 : 4;
          }
        }
        """;
    assertEquals(List.of("Desk: x tests o for 3 classes"), find(Smell.KIND_BRANCH, desk));
    assertEquals(
        List.of(), find(Smell.KIND_BRANCH, desk.replace("o instanceof C", "o.equals(C.class)")));
  }

  @Test
  void findsWhatNothingUses() {
    String desk =
        """
        public class Desk {
          private static final long serialVersionUID = 1;
          private int idle;
          int seen;
          public int open;
          private int twice(int times, int spare) { return times * 2; }
          private int again() { return again(); }
          int work() { seen++; return twice(3, 4); }
          @Deprecated private void writeObject(java.io.ObjectOutputStream out) {}
          public int all() { return work(); }
        }
        """;
    Found found = Found.in(folder, desk);
    Finding unused =
        found.all().stream()
            .filter(finding -> finding.smell() == Smell.UNUSED_MEMBER)
            .findFirst()
            .orElseThrow();
    assertEquals("nothing uses idle, spare and again", unused.summary());
  }

  @Test
  void findsAParameterThatIsOnlyHandedOn() {
    String desk =
        """
        public class Desk {
          int n;
          void first(int port, int row) { n += row; second(port, row); }
          void second(int port, int row) { n -= row; third(port); }
          void third(int port) { n = port * 2; }
        }
        """;
    assertEquals(
        List.of("Desk: port is handed through 2 methods"), find(Smell.PASSED_PARAMETER, desk));
    assertEquals(
        List.of(),
        find(Smell.PASSED_PARAMETER, desk.replace("n -= row; third", "n -= port; third")));
  }

  @Test
  void takesParametersThatGoTheSameWayTogether() {
    String desk =
        """
        public class Desk {
          int n;
          void first(int port, int row, int age) { n += row; second(port, row, age); }
          void second(int port, int row, int age) { n -= row; third(age, port); }
          void third(int age, int port) { n = port * 2 + age; }
        }
        """;
    assertEquals(
        List.of("Desk: port and age are handed through 2 methods"),
        find(Smell.PASSED_PARAMETER, desk));
  }

  @Test
  void showsNoneOfThemAmongTheFive() {
    assertTrue(Smell.LONG_METHOD.isSmaller() && Smell.PASSED_PARAMETER.isSmaller());
    assertTrue(!Smell.LAZY_CLASS.isSmaller() && !Smell.GOD_CLASS.isSmaller());
  }

  @Test
  void findsAMethodOfHalfAScreenThatCommentsDivideIntoStages() {
    StringBuilder body = new StringBuilder();
    for (int i = 0; i < 6; i++) {
      body.append(i < 3 ? "    // stage " + i + "\n" : "\n");
      body.append("    if (x > %d) {\n      x -= %d;\n    }\n    x++;\n".formatted(i, i + 1));
    }
    String text = "public class Pilot {\n  int guide(int x) {\n%s    return x;\n  }\n}\n";
    assertTrue(
        Found.in(folder, text.formatted(body)).all().stream()
            .anyMatch(each -> each.smell() == Smell.LONG_METHOD));
    assertTrue(
        Found.in(folder.resolve("bare"), text.formatted(body.toString().replaceAll("//.*", "")))
            .all()
            .stream()
            .noneMatch(each -> each.smell() == Smell.LONG_METHOD));
  }

  @Test
  void codesAreToldApartByTheirOwnClass() {
    assertEquals(
        List.of("Signal: colour of Mast tells 3 of its codes apart"),
        find(
            Smell.KIND_BRANCH,
            SIGNS,
            """
            public class Mast {
              String colour(int sign) {
                if (sign == Signal.GO) { return "green"; }
                if (Signal.WAIT == sign) { return "amber"; }
                return sign != Signal.STOP ? "dark" : "red";
              }
              int other(int sign) { return sign == Signal.GO ? 1 : 2; }
            }
            """));
  }

  @Test
  void textsCanBeCodes() {
    assertEquals(
        List.of("Signal: 2 places outside it tell its codes apart"),
        find(
            Smell.KIND_BRANCH,
            SIGNS,
            """
            public class Glass {
              int rank(String sea) {
                switch (sea) { case Signal.CALM: return 1; case Signal.SWELL: return 2; case Signal.STORM: return 3; default: return 0; }
              }
              boolean sails(String sea) {
                return sea.equals(Signal.CALM) || Signal.SWELL.equals(sea) && !sea.equals(Signal.STORM);
              }
            }
            """));
  }

  @Test
  void aClassMayTellItsOwnCodesApart() {
    assertEquals(List.of(), find(Smell.KIND_BRANCH, SIGNS, "class X {}"));
  }

  private static final String SIGNS =
      """
        public class Signal {
          static final int GO = 1;
          static final int WAIT = 2;
          static final int STOP = 3;
          static final String CALM = "calm";
          static final String SWELL = "swell";
          static final String STORM = "storm";
          static int lamps(int sign) {
            switch (sign) { case GO: return 1; case WAIT: return 2; case STOP: return 3; default: return 0; }
          }
        }
        """;

  @Test
  void twoCodesAreToldApartWhereThreePlacesDoSo() {
    String lights =
        """
        public class Lights {
          int one(int sign) { return sign == Signal.GO ? 1 : sign == Signal.WAIT ? 2 : 3; }
          int two(int sign) { switch (sign) { case Signal.GO: return 1; case Signal.STOP: return 2; default: return 0; } }
          %s
        }
        """;
    String third = "int three(int s) { return s == Signal.STOP ? 1 : s == Signal.WAIT ? 2 : 3; }";
    assertEquals(
        List.of("Signal: 3 places outside it tell its codes apart"),
        find(Smell.KIND_BRANCH, SIGNS, lights.formatted(third)));
    assertEquals(List.of(), find(Smell.KIND_BRANCH, SIGNS, lights.formatted("")));
  }

  @Test
  void fourBlocksInARowMakeAMethodOfTwoThirdsOfAScreenLong() {
    String block =
        "  for (int i = 0; i < n; i++) {\n" + "    if (i > 3 && i < n) n--;\n".repeat(8) + "  }\n";
    assertEquals(
        List.of("Sheet: print runs over 42 lines, 4 statements in a row"),
        find(Smell.LONG_METHOD, dense(block, 4)));
    String flat =
        "  for (int i = 0; i < n; i++) {\n" + "    if (i > 3 && i < n) n--;\n".repeat(11) + "  }\n";
    assertEquals(List.of(), find(Smell.LONG_METHOD, dense(flat, 3)));
  }
}
