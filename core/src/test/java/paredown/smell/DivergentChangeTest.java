package paredown.smell;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.history.Commit;
import paredown.history.History;
import paredown.smell.detector.DivergentChange;

class DivergentChangeTest {
  private static final String BOOK =
      """
      public class Book {
        private int moves;
        private int dues;
        void moor() { moves++; }
        int moves() { return moves; }
        void charge(int cents) { dues += cents; }
        int dues() { return dues; }
        %s
      }
      """;
  private static final String CLIENT = "public class %s { int x(Book b) { %s return 1; } }";
  @TempDir Path folder;

  private Found with(String member, String... calls) {
    List<String> sources = new ArrayList<>(List.of(BOOK.formatted(member)));
    for (int i = 0; i < calls.length; i++) {
      sources.add(CLIENT.formatted("Client" + i, calls[i]));
    }
    return Found.in(folder, sources.toArray(String[]::new));
  }

  private static List<String> divergent(Found found) {
    return found.all().stream()
        .filter(finding -> finding.smell() == Smell.DIVERGENT_CHANGE)
        .map(Finding::summary)
        .toList();
  }

  @Test
  void findsGroupsOfClientsThatUseMembersWithNothingInCommon() {
    Found found = with("", "b.moor();", "b.moves();", "b.charge(1);", "b.dues();");
    assertEquals(
        List.of("2 groups of clients use members with nothing in common"), divergent(found));
    assertEquals(
        List.of("Client0", "Client1"), found.one(Form.WHOLE).evidence().groups().get(0).users());
  }

  @Test
  void oneClientOfBothSidesJoinsThem() {
    assertEquals(
        List.of(),
        divergent(with("", "b.moor();", "b.moves();", "b.charge(1);", "b.dues(); b.moor();")));
  }

  @Test
  void whereAProgramBeginsBothSidesMeetWithoutJoining() {
    String[] calls = {"b.moor();", "b.moves();", "b.charge(1);", "b.dues();"};
    List<String> sources = new ArrayList<>(List.of(BOOK.formatted("")));
    for (int i = 0; i < calls.length; i++) {
      sources.add(CLIENT.formatted("Client" + i, calls[i]));
    }
    sources.add(
        "class Start { public static void main(String[] words) { Book b = new Book(); b.moor();"
            + " b.charge(2); } }");
    assertEquals(
        List.of("2 groups of clients use members with nothing in common"),
        divergent(Found.in(folder, sources.toArray(String[]::new))));
  }

  @Test
  void oneMethodOfBothSidesJoinsThem() {
    assertEquals(
        List.of(),
        divergent(
            with(
                "int both() { return moves + dues; }",
                "b.moor();",
                "b.moves();",
                "b.charge(1);",
                "b.dues();")));
  }

  @Test
  void whatAllOfItsKindMustDoIsNoReasonOfItsOwn() {
    String book =
        """
        public class Book implements AutoCloseable {
          private int moves;
          private int left;
          void moor() { moves++; }
          int moves() { return moves; }
          @Override public void close() { left++; }
        }
        """;
    List<String> sources = new ArrayList<>(List.of(book));
    String[] calls = {"b.moor();", "b.moves();", "b.close();", "b.close();"};
    for (int i = 0; i < calls.length; i++) {
      sources.add(CLIENT.formatted("Client" + i, calls[i]));
    }
    assertEquals(List.of(), divergent(Found.in(folder, sources.toArray(String[]::new))));
  }

  @Test
  void aSingleClientIsNoGroup() {
    assertEquals(
        List.of(), divergent(with("", "b.moor();", "b.moves();", "b.charge(1); b.dues();")));
  }

  private static History history(List<List<String>> commits) {
    List<Commit> made = new ArrayList<>();
    for (List<String> members : commits) {
      made.add(
          new Commit(
              "c" + made.size(),
              "",
              List.of(
                  new Commit.Touched(
                      "src/Book.java", members.stream().map(name -> "Book#" + name).toList()),
                  new Commit.Touched("src/" + members.get(0) + "Desk.java", List.of()))));
    }
    return new History(made, false);
  }

  @Test
  void findsGroupsOfCommitsThatTouchMembersApart() {
    List<String> quay = List.of("moor", "moves");
    List<String> till = List.of("charge", "dues");
    Finding found =
        Found.in(
                folder,
                history(List.of(quay, till, quay, till, quay, till)),
                BOOK.formatted("int a, b, c, d;"))
            .one(Form.WHOLE);
    assertEquals("2 groups of commits touch members apart from each other", found.summary());
    assertEquals(
        "Book has several reasons to change: commits touch moor or charge, each without the other.",
        found.claim());
    assertEquals(List.of("src/moorDesk.java"), found.evidence().groups().get(0).users());
  }

  @Test
  void aCommitThatTouchesBothSidesJoinsThemUnlessItTouchesHalfOfAll() {
    List<String> quay = List.of("moor", "moves");
    List<String> till = List.of("charge", "dues");
    History joined =
        history(List.of(quay, till, quay, till, quay, till, List.of("moor", "charge")));
    assertEquals(List.of(), divergent(Found.in(folder, joined, BOOK.formatted("int a, b, c, d;"))));
    History mass =
        history(
            List.of(quay, till, quay, till, quay, till, List.of("moor", "charge", "a", "b", "c")));
    assertEquals(1, divergent(Found.in(folder, mass, BOOK.formatted("int a, b, c, d;"))).size());
  }

  @Test
  void weighsMoreOfTheEvilNeverLess() {
    for (int more = 0; more < 40; more++) {
      assertTrue(
          DivergentChange.weight(2, 5 + more, 0, 0) >= DivergentChange.weight(2, 4 + more, 0, 0));
      assertTrue(
          DivergentChange.weight(2, 9, 2, 7 + more) >= DivergentChange.weight(2, 9, 2, 6 + more));
      assertTrue(DivergentChange.weight(2, 9, 2, 6) >= DivergentChange.weight(2, 9, 0, 0));
    }
  }

  private static final String ACCOUNT =
      """
      public class Account {
        private int grams;
        private boolean closed;
        void bring(int more) { if (closed) { throw new IllegalStateException(); } grams += more; }
        int due() { return grams > 100 ? grams / 85 : 0; }
        boolean close() { if (due() == 0) { closed = true; } return closed; }
        String toJson() { return "{\\"g\\":" + kilos() + ",\\"c\\":" + closed + "}"; }
        %s
        private String kilos() { return String.format("%%.3f", grams / 1000.0); }
      }
      """;

  @Test
  void findsRulesAndTextInOneClass() {
    Found found =
        Found.in(
            folder,
            ACCOUNT.formatted("String toCsv() { return kilos() + \",\" + due() + \"\\n\"; }"));
    assertEquals(
        List.of("3 methods show it as text, beside 3 that keep its rules"), divergent(found));
    Finding one = found.one(Form.WHOLE);
    assertEquals(
        List.of("toJson()", "toCsv()", "kilos()"), one.evidence().groups().get(0).methods());
  }

  @Test
  void takesOneTextAndWhatChangesTheObjectForNoSideOfItsOwn() {
    String changes = "String next() { grams++; return \"a\" + grams + \"b\"; }";
    assertEquals(List.of(), divergent(Found.in(folder, ACCOUNT.formatted(changes))));
    String shown = ACCOUNT.formatted("String toCsv() { return \"a\" + grams + \"b\"; }");
    assertEquals(
        List.of(),
        divergent(Found.in(folder.resolve("view"), shown.replace("Account", "AccountView"))));
  }

  private static final String LEDGER =
      """
      import java.nio.file.*;
      public class %s {
        private int cents;
        void pay(int more) { if (more < 0) { throw new IllegalStateException(); } cents += more; }
        int due() { return cents > 100 ? cents / 2 : 0; }
        void forgive() { cents = 0; }
        void save(Path to) throws Exception { Files.writeString(to, "" + cents); }
        void load(Path from) throws Exception { cents = Integer.parseInt(Files.readString(from)); }
      }
      """;

  @Test
  void findsRulesAndFilesInOneClassUnlessItIsNamedForThem() {
    assertEquals(
        List.of("2 methods reach for files, network or database, beside 3 that keep its rules"),
        divergent(Found.in(folder, LEDGER.formatted("Ledger"))));
    assertEquals(
        List.of(), divergent(Found.in(folder.resolve("store"), LEDGER.formatted("LedgerStore"))));
  }

  @Test
  void twoRulesWithHelpersOfTheirOwnWeighAsMuchAsThree() {
    String sheet =
        """
        public class Tides {
          private int low;
          private int high;
          void read(String text) { if (text.isEmpty()) { low = 0; } else { low = word(text); } }
          private int word(String text) { return Integer.parseInt(text.trim()); }
          int waterAt(int minute) { return minute < 60 ? low : part(minute); }
          private int part(int minute) { return low + (high - low) * share(minute); }
          private int share(int minute) { return minute / 60; }
          %s
          String toHtml() { return "<p>" + cell(low) + "</p>" + cell(high) + "<hr>"; }
          private String cell(int value) { return "<td>" + shown(value) + "</td>"; }
          private String shown(int value) { return plain(value) + " m"; }
          private String plain(int value) { return "about " + value; }
        }
        """;
    assertEquals(
        List.of("4 methods show it as text, beside 2 that keep its rules"),
        divergent(Found.in(folder, sheet.formatted(""))));
    String without =
        sheet
            .formatted("")
            .replaceAll("(?m).* (?:word|share)\\(int.*", "")
            .replace("word(text)", "1")
            .replace("* share(minute)", "")
            .replaceAll("(?m).* word\\(String.*", "");
    assertEquals(List.of(), divergent(Found.in(folder, without)));
  }

  /** A part of a class with a field of its own, and three methods that decide something. */
  private static String part(String name) {
    return """
        private int %1$s;
        void add%1$s(int by) { if (by > 0) { %1$s += by; } }
        int cut%1$s(int by) { int cut = by > %1$s ? %1$s : by; %1$s -= cut; return cut; }
        boolean is%1$s() { return %1$s > 9 && %1$s < 99; }
        """
        .formatted(name);
  }

  private static String client(String name, String part) {
    return "public class %1$s { boolean x(Ship s) { s.add%2$s(1); s.cut%2$s(2); return s.is%2$s(); } }"
        .formatted(name, part);
  }

  @Test
  void takesOneClientEachForEnoughWherePartsWorkAsMuchAsClasses() {
    String ship = "public class Ship { " + part("Crew") + part("Fuel") + "}";
    Found found = Found.in(folder, ship, client("Office", "Crew"), client("Engine", "Fuel"));
    assertEquals(
        List.of("2 groups of clients use members with nothing in common"), divergent(found));
    assertEquals(31, found.one(Form.WHOLE).weight());
  }

  @Test
  void findsThreePartsThatShareNothingInASmallClass() {
    String ship = "public class Ship { " + part("Crew") + part("Fuel") + part("Cargo") + "}";
    assertEquals(
        List.of("Ship: 3 groups of members"),
        Found.in(folder, ship, client("Office", "Crew")).of(Form.WHOLE));
  }

  @Test
  void twoTextsAtLengthAreAReasonBesideRules() {
    String plan =
        """
        import java.util.*;
        public class Plan {
          private final List<String> sailings = new ArrayList<>();
          void add(String each) { if (!each.isBlank()) { sailings.add(each); } }
          boolean full() { return sailings.size() > 9; }
          void drop(String each) { if (!sailings.isEmpty()) { sailings.remove(each); } }
          String html() {
            StringBuilder out = new StringBuilder("<ul>");
            for (String each : sailings) { out.append("<li>").append(each).append("</li>"); }
            return out.append("</ul>").toString();
          }
          String %s() {
            StringBuilder out = new StringBuilder("sailings;");
            for (String each : sailings) { out.append("- ").append(each).append(";"); }
            return out.toString();
          }
        }
        """;
    assertEquals(
        List.of("2 methods show it as text, beside 3 that keep its rules"),
        divergent(Found.in(folder.resolve("a"), plan.formatted("rows"))));
    assertEquals(
        List.of(), divergent(Found.in(folder.resolve("b"), plan.formatted("shortDescription"))));
  }
}
