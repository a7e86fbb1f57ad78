package paredown.smell;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.smell.detector.FeatureEnvy;
import paredown.smell.detector.RepeatedQuestion;

class FeatureEnvyTest {
  private static final String BERTH =
      """
      public class Berth {
        private int depth;
        private int length;
        private boolean closed;
        int depth() { return depth; }
        int length() { return length; }
        boolean closed() { return closed; }
        void close() { closed = true; }
      }
      """;
  private static final String PILOT =
      """
      public class Pilot {
        private int reach;
        %s
      }
      """;
  private static final String ASKS =
      "boolean fits(Berth b) { return !b.closed() && b.depth() > 2 && b.length() > 9; }";

  @TempDir Path folder;

  private List<String> methods(String member) {
    return Found.in(folder, BERTH, PILOT.formatted(member)).of(Form.METHOD);
  }

  @Test
  void findsAMethodThatLivesOnAnotherClassesData() {
    assertEquals(List.of("Pilot: fits lives on 3 values of Berth"), methods(ASKS));
  }

  @Test
  void leavesAloneAnOverloadWhoseWorkItsClassDoes() {
    String part = "private int sum(int a, int b, boolean c) { return c ? a : b * reach; } ";
    String asks = "int room(Berth b) { return sum(b.depth(), b.length(), b.closed()); } ";
    String plain = "int room() { return sum(reach, 2, true); } ";
    assertEquals(List.of(), methods(part + asks + plain));
    assertEquals(1, methods(part + asks + plain.replace("room()", "all()")).size());
  }

  @Test
  void leavesAloneWhatShowsOthersAsTextByItsName() {
    String shows =
        """
        public class Berth%s {
          static String line(Berth b) { return b.depth() + " m, " + b.length() + b.closed(); }
        }
        """;
    assertEquals(List.of(), Found.in(folder, BERTH, shows.formatted("Text")).of(Form.METHOD));
    assertEquals(
        List.of("BerthPilot: line lives on 3 values of Berth"),
        Found.in(folder, BERTH, shows.formatted("Pilot")).of(Form.METHOD));
  }

  @Test
  void needsTwoValuesOnlyWhereAStaticMethodHasNoHome() {
    String helper =
        """
        public class Soundings {
          %s
          static int water(Berth b%s) { return b.depth() * b.length(); }
        }
        """;
    assertEquals(
        List.of("Soundings: water lives on 2 values of Berth"),
        Found.in(folder, BERTH, helper.formatted("", "")).of(Form.METHOD));
    for (String own : List.of("private int base;", "int base() { return 1; }")) {
      assertEquals(
          List.of(), Found.in(folder, BERTH, helper.formatted(own, "")).of(Form.METHOD), own);
    }
    assertEquals(
        List.of(), Found.in(folder, BERTH, helper.formatted("", ", int more")).of(Form.METHOD));
  }

  @Test
  void namesTheDataTheTargetAndTheLines() {
    Finding envy = Found.in(folder, BERTH, PILOT.formatted(ASKS)).one(Form.METHOD);
    assertEquals(List.of("Berth#closed", "Berth#depth", "Berth#length"), envy.evidence().foreign());
    assertEquals(List.of("fits(Berth)"), envy.members());
    assertEquals(List.of("closed", "depth", "length"), envy.evidence().rows().get(1).uses());
  }

  @Test
  void letsAMethodBeThatUsesItsOwnDataToo() {
    assertEquals(
        List.of(),
        methods(
            """
            private int draught;
            boolean fits(Berth b) {
              return !b.closed() && b.depth() > draught && b.length() > reach;
            }
            """));
  }

  @Test
  void findsEnvyInLambdasAndStaticMethods() {
    assertEquals(
        List.of("Pilot: sum lives on 3 values of Berth"),
        methods(
            """
            static int sum(java.util.List<Berth> all) {
              return all.stream().filter(b -> !b.closed()).mapToInt(b -> b.depth() * b.length()).sum();
            }
            """));
  }

  @Test
  void takesMappersBuildersAndOverridingMethodsForWhatTheyAre() {
    assertEquals(
        List.of(),
        methods(
            """
            static class Copy { int d, l; boolean c; }
            Copy copy(Berth b) {
              Copy copy = new Copy();
              copy.d = b.depth();
              copy.l = b.length();
              copy.c = b.closed();
              return copy;
            }
            """));
    assertEquals(
        List.of(),
        Found.in(folder, BERTH, PILOT.formatted(ASKS).replace("Pilot", "PlanBuilder"))
            .of(Form.METHOD));
    assertEquals(
        List.of(),
        Found.in(
                folder,
                BERTH,
                "public interface Judge { boolean fits(Berth b); }",
                PILOT.formatted("public " + ASKS).replace("Pilot {", "Pilot implements Judge {"))
            .of(Form.METHOD));
  }

  @Test
  void takesAMethodThatFillsAnObjectFromElsewhereForNone() {
    String berth = BERTH.replace("private ", "");
    String fill = "void fill(Berth b, int n) { b.depth = n; b.length = n; b.closed = true; }";
    assertEquals(List.of(), Found.in(folder, berth, PILOT.formatted(fill)).of(Form.METHOD));
    String both = "void fill(Berth b, int n) { b.depth++; b.length += n; b.closed = true; }";
    assertEquals(1, Found.in(folder, berth, PILOT.formatted(both)).of(Form.METHOD).size());
  }

  @Test
  void takesAMethodThatSetsOrSpellsAWholeObjectForNone() {
    String berth = "public class Berth { int a, b, c, d, e, f, g; }";
    String sum = "int %s(Berth x, String to) { return x.a + x.b + x.c + x.d + x.e + x.f + x.g; }";
    assertEquals(
        1, Found.in(folder, berth, PILOT.formatted(sum.formatted("sum"))).of(Form.METHOD).size());
    assertEquals(
        List.of(),
        Found.in(folder, berth, PILOT.formatted(sum.formatted("writeAll"))).of(Form.METHOD));
    assertEquals(
        List.of(),
        Found.in(
                folder,
                berth,
                PILOT.formatted(
                    "void set(Berth x) { x.a++; x.b++; x.c++; x.d++; x.e++; x.f++; x.g++; }"))
            .of(Form.METHOD));
  }

  @Test
  void takesAStaticMethodThatGivesItsOwnClassForAMaker() {
    String of =
        "static %s of(Berth b) { return b.length() > 3 && !b.closed() ? at(b.depth()) : null; }";
    String at = " static Pilot at(int depth) { return null; }";
    assertEquals(
        List.of(),
        Found.in(folder, BERTH, PILOT.formatted(of.formatted("Pilot") + at)).of(Form.METHOD));
    assertEquals(
        1,
        Found.in(folder, BERTH, PILOT.formatted(of.formatted("Object") + at))
            .of(Form.METHOD)
            .size());
  }

  @Test
  void takesAnIteratorForSomethingToBeAsked() {
    String turn = BERTH.replace("Berth", "BerthIterator");
    assertEquals(
        List.of(),
        Found.in(folder, turn, PILOT.formatted(ASKS.replace("Berth", "BerthIterator")))
            .of(Form.METHOD));
  }

  @Test
  void envyNeedsATargetThatCouldHoldIt() {
    String record = "public record Berth(int depth, int length, boolean closed) {}";
    assertEquals(List.of(), Found.in(folder, record, PILOT.formatted(ASKS)).of(Form.METHOD));
  }

  @Test
  void tiesNoPackagesIntoACircle() {
    String low =
        "package low;\n"
            + BERTH.replace("  int", "  public int").replace("  bool", "  public bool");
    String high =
        """
        package high;
        public class Board {
          private static int rows;
          public static int rows() { return rows; }
          public void show(low.Berth b) {
            %s
          }
        }
        """;
    String asks = "if (b.closed() || b.depth() > 2 || b.length() > 9) { %s }";
    assertEquals(
        1,
        Found.in(folder, low, high.formatted(asks.formatted("System.out.println();")))
            .of(Form.METHOD)
            .size());
    String other = "package high;\npublic class Printer { public static void out(String s) {} }";
    assertEquals(
        List.of(),
        Found.in(folder, low, other, high.formatted(asks.formatted("Printer.out(\"x\");")))
            .of(Form.METHOD));
  }

  @Test
  void takesAMethodThatChangesItsOwnObjectForNoEnviousOne() {
    assertEquals(1, methods(ASKS).size());
    assertEquals(
        List.of(),
        methods(
            "private int fits; void fits(Berth b) { if (!b.closed() && b.depth() > 2 && b.length() > 9)"
                + " { fits++; } }"));
  }

  @Test
  void livesWithWhatTheCodeSaysItLivesWith() {
    assertEquals(List.of(), methods("@SuppressWarnings(\"pare:feature-envy\") " + ASKS));
    assertEquals(1, methods("@SuppressWarnings(\"pare:god-class\") " + ASKS).size());
  }

  @Test
  void findsAPartOfAMethodThatCouldBeExtracted() {
    String berth = BERTH.replace("private int depth;", "int depth; int sill; int fenders;");
    String part =
        """
        private int a, b, c, d;
        int work(Berth berth) {
          a = b + c;
          d = a * reach;
          int load = 0;
          for (int i = 0; i < 3; i++) {
            load += berth.depth + berth.sill;
            load += berth.fenders * berth.length();
            load -= 1;
          }
          b = c + d;
          return load + a + b + c + d;
        }
        """;
    Finding found = Found.in(folder, berth, PILOT.formatted(part)).one(Form.PART);
    assertEquals("part of work lives on 4 values of Berth", found.summary());
    assertEquals(7, found.range().start().line());
    String leaves = part.replace("load -= 1;", "if (load > 9) { return 0; }");
    assertEquals(List.of(), Found.in(folder, berth, PILOT.formatted(leaves)).of(Form.PART));
  }

  @Test
  void findsARunOfStatementsThatWorksOutAValue() {
    String part =
        """
        int due(Berth berth, int rate) {
          int share = 0;
          if (berth.closed()) {
            share = 100;
          }
          if (berth.depth() > 9) {
            share += berth.length() * %s;
          }
          seen++;
          return rate * share + reach;
        }
        int seen;
        """;
    Found found = Found.in(folder, BERTH, PILOT.formatted(part.formatted("2")));
    assertEquals(List.of("Pilot: part of due lives on 3 values of Berth"), found.of(Form.PART));
    assertEquals(4, found.one(Form.PART).range().start().line());
    assertEquals(11, found.one(Form.PART).range().end().line());
    assertEquals(
        List.of(),
        Found.in(folder.resolve("own"), BERTH, PILOT.formatted(part.formatted("reach")))
            .of(Form.PART));
  }

  @Test
  void reportsAQuestionThatSeveralCallersAskOnce() {
    String ask = "public class %s { int n; int x(Berth b) { return b.depth() > 2 ? n : 1; } }";
    Found found =
        Found.in(folder, BERTH, ask.formatted("One"), ask.formatted("Two"), ask.formatted("Three"));
    assertEquals(List.of("Berth: 3 methods ask it: it.depth() > 2"), found.of(Form.QUESTION));
    assertEquals(3, found.one(Form.QUESTION).evidence().rows().size());
    assertEquals(
        List.of(),
        Found.in(folder.resolve("two"), BERTH, ask.formatted("One"), ask.formatted("Two"))
            .of(Form.QUESTION));
  }

  @Test
  void takesTheOppositeWithValuesOfOtherNamesForTheSameQuestion() {
    String ask = "public class %s { int n; int x(Berth %s, int %s) { return %s ? n : 1; } }";
    String one = ask.formatted("One", "b", "deep", "b.closed() || b.depth() < deep");
    String two = ask.formatted("Two", "at", "least", "!at.closed() && at.depth() >= least");
    assertEquals(
        List.of("Berth: 2 methods ask it: it.closed() || it.depth() < deep"),
        Found.in(folder, BERTH, two, one).of(Form.QUESTION));
    String other = ask.formatted("Two", "at", "least", "!at.closed() && at.depth() > least");
    assertEquals(List.of(), Found.in(folder.resolve("two"), BERTH, one, other).of(Form.QUESTION));
  }

  @Test
  void findsANumberThatSeveralClassesWorkOutOfOneObject() {
    String fee = "public class %s { int n; int x(Berth %s) { int size = %s; return size + n; } }";
    String one = fee.formatted("One", "b", "b.depth() * b.length()");
    assertEquals(
        List.of("Berth: 2 methods work it out: it.depth() * it.length()"),
        Found.in(folder, BERTH, one, fee.formatted("Two", "at", "at.depth() * at.length()"))
            .of(Form.QUESTION));
    assertEquals(
        List.of(),
        Found.in(
                folder.resolve("two"),
                BERTH,
                one,
                fee.formatted("Two", "at", "at.length() * at.depth()"))
            .of(Form.QUESTION));
    String quay =
        "import java.util.*; public class Quay { private List<Berth> berths = new ArrayList<>();"
            + " List<Berth> berths() { return berths; } }";
    String all = "public class %s { int n; int x(Quay %s) { return n + %s; } }";
    assertEquals(
        List.of("Quay: 2 methods work it out: it.berths().stream().mapToInt(b -> b.depth()).sum()"),
        Found.in(
                folder.resolve("lambda"),
                BERTH,
                quay,
                all.formatted("One", "q", "q.berths().stream().mapToInt(b -> b.depth()).sum()"),
                all.formatted("Two", "at", "at.berths().stream().mapToInt(e -> e.depth()).sum()"))
            .of(Form.QUESTION));
  }

  @Test
  void takesAPredicateThatTheObjectAnswersForNoQuestionOfThatKind() {
    String ask = "public class %s { int n; int x(Berth b) { return b.closed() ? n : 1; } }";
    Found found =
        Found.in(folder, BERTH, ask.formatted("One"), ask.formatted("Two"), ask.formatted("Three"));
    assertTrue(found.of(Form.QUESTION).isEmpty());
  }

  @Test
  void weighsMoreOfTheEvilNeverLess() {
    Limits limits = Limits.defaults();
    for (int more = 0; more < 40; more++) {
      assertTrue(
          FeatureEnvy.weight(4 + more, 10, 3, limits)
              >= FeatureEnvy.weight(3 + more, 10, 3, limits));
      assertTrue(
          FeatureEnvy.weight(4, 10, 4 + more, limits)
              >= FeatureEnvy.weight(4, 10, 3 + more, limits));
      assertTrue(RepeatedQuestion.weight(4 + more, 2) >= RepeatedQuestion.weight(3 + more, 2));
    }
    assertTrue(FeatureEnvy.weight(10_000, 0, 10_000, limits) <= 100);
  }

  @Test
  void takesSettingsForSomethingToBeAsked() {
    String settings =
        """
        public class %s {
          private final int slow, fast, ramp;
          public %1$s(int slow, int fast, int ramp) { this.slow = slow; this.fast = fast; this.ramp = ramp; }
          public int slow() { return slow; }
          public int fast() { return fast; }
          public int ramp() { return ramp; }
        }
        """;
    String run =
        """
        public class Run {
          int at(%s s, int x) { return x > s.ramp() ? s.fast() : s.slow() + x / s.ramp(); }
        }
        """;
    for (String name : List.of("Engine", "Settings")) {
      int expected = name.equals("Engine") ? 1 : 0;
      assertEquals(
          expected,
          Found.in(folder.resolve(name), settings.formatted(name), run.formatted(name))
              .of(Form.METHOD)
              .size());
    }
  }

  @Test
  void findsAnInnerLoopThatWorksOneValueOutOfOthersData() {
    String line =
        """
        public class Line {
          private int gross, tare, cents;
          int gross() { return gross; }
          int tare() { return tare; }
          int cents() { return cents; }
        }
        """;
    String letter =
        """
        import java.util.*;
        public class Letter {
          private int year;
          String text(Map<String, List<Line>> all) {
            String text = "" + year;
            for (String each : all.keySet()) {
              int sum = 0;
              for (Line line : all.get(each)) {
                sum += (line.gross() - line.tare()) * line.cents();
              }
              text += each + sum + year;
            }
            return text;
          }
        }
        """;
    assertEquals(
        List.of("Letter: part of text lives on 3 values of Line"),
        Found.in(folder, line, letter).of(Form.PART));
  }

  @Test
  void whoSetsMoreOfAnotherThanOfItsOwnDoesTheOthersWork() {
    String board =
        "public class Board { int cells, moves; boolean turn;"
            + " int cells() { return cells; } boolean turn() { return turn; } }";
    String mover =
        """
        public class Mover {
          private int refused, last, first;
          boolean move(Board board, int to) {
            if (board.cells == to || board.turn) { refused++; %s return false; }
            board.cells = to;
            board.moves++;
            board.turn = !board.turn;
            return true;
          }
        }
        """;
    assertEquals(
        List.of("Mover: move lives on 3 values of Board"),
        Found.in(folder.resolve("a"), board, mover.formatted("")).of(Form.METHOD));
    assertEquals(
        List.of(),
        Found.in(folder.resolve("b"), board, mover.formatted("last = to; first = to;"))
            .of(Form.METHOD));
  }
}
