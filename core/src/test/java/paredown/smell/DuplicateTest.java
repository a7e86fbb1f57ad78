package paredown.smell;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DuplicateTest {
  private static final String QUEUE =
      """
      import java.util.*;
      public class %s {
        private final List<String> %s = new ArrayList<>();
        int room() { return 3; }
        boolean take(String %s) {
          if (%3$s.isBlank() || this.%2$s.contains(%3$s)) {
            return false;
          }
          %2$s.add(%3$s);
          return %2$s.size() <= room();
        }
        List<String> late() {
          // those who came last
          if (%2$s.size() <= room()) {
            return List.of();
          }
          return List.copyOf(%2$s.subList(room(), %2$s.size()));
        }
      }
      """;

  @TempDir Path folder;

  private static String board(String third) {
    return """
        import java.util.*;
        public class Board {
          private final List<String> boats = new ArrayList<>();
          String text() {
            StringBuilder text = new StringBuilder();
            text.append("Small\\n");
            for (String boat : boats) {
              if (boat.length() == 3) {
                text.append("  ").append(boat.length()).append(boat.strip()).append(' ').append(boat.hashCode()).append('*');
              }
            }
            text.append("Large\\n");
            for (String each : boats) {
              if (each.length() == 30) {
                text.append("- ").append(each.length()).append(each.strip()).append('/').append(each.hashCode()).append('.');
              }
            }
            %s
            return text.toString();
          }
        }
        """
        .formatted(third);
  }

  @Test
  void findsWhatStandsInTwoClassesUnderOtherNames() {
    Found found =
        Found.in(
            folder,
            QUEUE.formatted("Berths", "boats", "boat"),
            QUEUE.formatted("Course", "names", "name"));
    assertEquals(List.of("Berths: 2 pieces of code stand in Course, too"), found.of(Form.REPEATED));
    Finding one = found.one(Form.REPEATED);
    assertEquals(List.of("take(String)", "late()"), one.members());
    assertEquals(4, one.evidence().rows().size());
  }

  @Test
  void findsWhatStandsTwiceInOneMethodWithOtherLiterals() {
    Found found = Found.in(folder, board(""));
    assertEquals(List.of("Board: 6 lines stand twice in text"), found.of(Form.REPEATED));
  }

  @Test
  void findsWhatBeginsAsCodeEverywhereDoes() {
    String sum =
        """
        public class %s {
          int sum(java.util.List<String> %s) {
            int total = 0;
            for (String each : %s) {
              if (each.isBlank() || each.startsWith("x")) { total += each.strip().length(); }
            }
            total -= Integer.parseInt(%s.get(0).substring(1));
            System.out.println(total);
            return total;
          }
        }
        """;
    StringBuilder others = new StringBuilder("public class Tally {\n");
    for (int i = 0; i < 45; i++) {
      others.append("  int n%d() { int n = 0; n += %d; return n * n; }\n".formatted(i, i));
    }
    Found found =
        Found.in(
            folder,
            others.append("}\n").toString(),
            sum.formatted("Berths", "names", "names", "names"),
            sum.formatted("Course", "marks", "marks", "marks"));
    assertTrue(
        found.of(Form.REPEATED).contains("Berths: 7 lines stand in Course, too"),
        found.of(Form.REPEATED).toString());
  }

  @Test
  void findsWhatSaysAConstantWhereTheOtherHasALiteralAndNamesLittle() {
    String ask =
        """
        public class %s {
          private static final int TRIES = 4;
          private int failures;
          String ask(String zone) {
            for (int attempt = 1; attempt <= %s; attempt++) {
              try {
                String answer = send("TIDE " + zone);
                if (answer != null) {
                  return answer.trim();
                }
              } catch (IllegalStateException e) {
                failures++;
              }
            }
            return "none";
          }
          private String send(String text) { return failures > 3 ? text : null; }
        }
        """;
    assertEquals(
        List.of("Buoy: 11 lines stand in Radio, too"),
        Found.in(folder, ask.formatted("Buoy", "3"), ask.formatted("Radio", "TRIES"))
            .of(Form.REPEATED));
  }

  @Test
  void weighsMoreWhereItStandsMoreOften() {
    int twice = Found.in(folder, board("")).one(Form.REPEATED).weight();
    String third =
        """
        text.append("Old\\n");
            for (String one : boats) {
              if (one.length() == 7) {
                text.append("").append(one.length()).append(one.strip()).append(' ').append(one.hashCode()).append('+');
              }
            }
        """;
    Found more = Found.in(folder.resolve("more"), board(third));
    assertEquals(List.of("Board: 6 lines stand 3 times in text"), more.of(Form.REPEATED));
    assertTrue(more.one(Form.REPEATED).weight() > twice);
  }

  @Test
  void takesWhatCallsOtherMethodsForNone() {
    String other = QUEUE.formatted("Course", "names", "name").replace("isBlank", "isEmpty");
    Found found =
        Found.in(
            folder,
            QUEUE.formatted("Berths", "boats", "boat"),
            other.replace("size() <=", "size() <"));
    assertEquals(List.of(), found.of(Form.REPEATED));
  }

  @Test
  void takesOverloadsAndListsOfEqualStatementsForNone() {
    String overload =
        """
          int %s(%s rows) {
            int sum = 0;
            for (int i = 0; i < rows.size(); i++) {
              sum += String.valueOf(rows.get(i)).strip().length();
              sum -= String.valueOf(rows.get(i)).indexOf("x");
            }
            return Math.max(0, Math.abs(sum));
          }
        """;
    String list = "text.append(\"a\").append(Math.max(1, 2)).append(Math.abs(3));\n".repeat(6);
    String both =
        "import java.util.*;\npublic class Rows {\n%s%s  void all(StringBuilder text) {\n%s}\n}\n";
    assertEquals(
        List.of(),
        Found.in(
                folder,
                both.formatted(
                    overload.formatted("sum", "List<String>"),
                    overload.formatted("sum", "Vector<String>"),
                    list))
            .of(Form.REPEATED));
    assertEquals(
        1,
        Found.in(
                folder.resolve("apart"),
                both.formatted(
                    overload.formatted("sum", "List<String>"),
                    overload.formatted("total", "Vector<String>"),
                    list))
            .of(Form.REPEATED)
            .size());
  }

  @Test
  void findsOneHelperThatStandsInSeveralClasses() {
    String desk =
        """
        public class %s {
          String text(long %s) { return "" + money(%2$s); }
          private static String money(long %2$s) {
            return String.format("%%d.%%02d", Math.abs(%2$s) / 100, Math.abs(%2$s) %% 100);
          }
        }
        """;
    Found found =
        Found.in(
            folder,
            desk.formatted("Desk", "cents"),
            desk.formatted("Bill", "due"),
            desk.formatted("Fare", "price"),
            desk.formatted("Quay", "fee"));
    assertEquals(
        List.of("Bill: 1 line stands in Desk, Fare and Quay, too"), found.of(Form.REPEATED));
  }

  @Test
  void takesTypesOfVariablesForNoDifference() {
    String course =
        QUEUE
            .formatted("Course", "names", "name")
            .replace("List<String> names", "LinkedList<String> names");
    assertEquals(
        1,
        Found.in(
                folder,
                QUEUE.formatted("Berths", "boats", "boat"),
                course.replace("ArrayList", "LinkedList"))
            .of(Form.REPEATED)
            .size());
  }

  @Test
  void findsWhatTwoSiblingsSayOfLittleElse() {
    String fare =
        """
        public class %s%s {
          private int rides;
          int price(int zones, boolean peak) {
            int base = %d + %d * zones;
            if (peak) {
              base += base / 10;
            }
            rides++;
            if (rides > 20) {
              base -= 50;
            }
            return base;
          }
          int twice(int zones, boolean peak) {
            int base = %d + %d * zones;
            if (!peak) {
              base -= base / 10;
            }
            rides++;
            return rides > 20 ? base : 2 * base;
          }
        }
        """;
    String above = "public class Fare { int all; }";
    for (boolean siblings : new boolean[] {true, false}) {
      String under = siblings ? " extends Fare" : "";
      Found found =
          Found.in(
              folder,
              above,
              fare.formatted("Adult", under, 200, 80, 1, 2),
              fare.formatted("Child", under, 100, 40, 3, 4));
      assertEquals(
          siblings ? List.of("Adult: 2 pieces of code stand in Child, too") : List.of(),
          found.of(Form.REPEATED));
    }
  }

  @Test
  void findsChecksThatThrowTheSameInThreeMethods() {
    String method =
        """
          void %s(long cents) {
            if (shut) { throw new IllegalStateException("shut"); }
            if (cents <= 0) { %s }
            %s
          }
        """;
    String refuse = "throw new IllegalArgumentException(\"no fare: \" + cents);";
    String desk =
        "public class Desk { private boolean shut; private long all;"
            + method.formatted("%1$s", "%4$s", "all += cents;")
            + method.formatted("%2$s", "%4$s", "all -= cents;")
            + method.formatted("%3$s", "%4$s", "all = cents;")
            + "}";
    assertEquals(
        List.of("Desk: 2 lines stand 3 times in 3 methods"),
        Found.in(folder.resolve("a"), desk.formatted("take", "give", "set", refuse))
            .of(Form.REPEATED));
    assertEquals(
        List.of(),
        Found.in(folder.resolve("b"), desk.formatted("take", "give", "set", "all = 1;"))
            .of(Form.REPEATED));
  }

  @Test
  void methodsThatSiblingsHaveNeedRepeatLittle() {
    String above = "public abstract class Vessel { String name() { return \"\"; } }";
    String vessel =
        """
        public class %1$s %2$s {
          private int seats;
          String name() { return "x"; }
          double toll(int miles) {
            double base = miles * 0.12;
            if (miles > 100) { base = base * 0.9; }
            if (name().startsWith("X")) { base = base + 5; }
            return base %3$s;
          }
        }
        """;
    assertEquals(
        List.of("Barge: 3 lines stand in Ferry, too"),
        Found.in(
                folder.resolve("a"),
                above,
                vessel.formatted("Barge", "extends Vessel", "* seats"),
                vessel.formatted("Ferry", "extends Vessel", "/ 2"))
            .of(Form.REPEATED));
    assertEquals(
        List.of(),
        Found.in(
                folder.resolve("b"),
                vessel.formatted("Barge", "", "* seats"),
                vessel.formatted("Ferry", "", "/ 2"))
            .of(Form.REPEATED));
  }
}
