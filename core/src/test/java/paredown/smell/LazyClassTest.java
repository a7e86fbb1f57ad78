package paredown.smell;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LazyClassTest {
  private static final String FLEET =
      """
      public class Fleet {
        private int size;
        int size() { return size; }
        void add(int more) { size += more; }
        void sell(int some) { size -= some; }
      }
      """;
  private static final String BETWEEN =
      """
      public class Office {
        private final Fleet fleet = new Fleet();
        int size() { return fleet.size(); }
        void add(int more) { fleet.add(more); }
        %s
      }
      """;
  @TempDir Path folder;

  @Test
  void findsAClassThatOnlyPassesCallsOn() {
    Found found = Found.in(folder, FLEET, BETWEEN.formatted(""));
    assertEquals(List.of("Office: only passes calls on to Fleet"), found.of(Form.GO_BETWEEN));
    assertEquals(List.of("Fleet"), found.one(Form.GO_BETWEEN).evidence().foreign());
  }

  @Test
  void findsAClassThatOnlyWrapsOneValue() {
    String mark =
        """
        public class Mark {
          private final int number;
          public Mark(int number) { %s this.number = number; }
          public int number() { return number; }
          %s
        }
        """;
    String chart =
        "public class Chart { int sum(Mark a, Mark b) { return a.number() + b.number(); } }";
    assertEquals(
        List.of("Mark: only wraps its number"),
        Found.in(folder, mark.formatted("", ""), chart).of(Form.EMPTY));
    for (String own :
        List.of(
            "public boolean isPort() { return number % 2 == 0; }",
            "@Override public boolean equals(Object o) { return o instanceof Mark; }")) {
      assertEquals(List.of(), Found.in(folder, mark.formatted("", own), chart).of(Form.EMPTY), own);
    }
    String below =
        "public class Buoy extends Mark { Buoy() { super(3); } int far() { return 9; } }";
    assertEquals(List.of(), Found.in(folder, mark.formatted("", ""), chart, below).of(Form.EMPTY));
    String checks = "if (number < 0) { throw new IllegalArgumentException(); }";
    assertEquals(List.of(), Found.in(folder, mark.formatted(checks, ""), chart).of(Form.EMPTY));
  }

  @Test
  void takesAClassThatDoesOneThingOfItsOwnForNoGoBetween() {
    for (String own :
        List.of(
            "void sell(int some) { fleet.sell(some + 1); }",
            "int twice() { return fleet.size() * 2; }",
            "static int most() { return 9; }",
            "private int more; int more() { return more; }")) {
      assertEquals(
          List.of(), Found.in(folder, FLEET, BETWEEN.formatted(own)).of(Form.GO_BETWEEN), own);
    }
  }

  @Test
  void takesAnAdapterForNoGoBetween() {
    String adapter = BETWEEN.formatted("").replace("Office {", "Office implements Runnable {");
    assertEquals(
        List.of(),
        Found.in(folder, FLEET, adapter.replace("int size()", "public void run() {} int size()"))
            .of(Form.GO_BETWEEN));
  }

  @Test
  void findsAClassThatAddsNothingToTheOneAbove() {
    assertEquals(
        List.of("Flotilla: adds nothing to Fleet"),
        Found.in(folder, FLEET, "public class Flotilla extends Fleet {}").of(Form.EMPTY));
  }

  @Test
  void takesASubclassThatSaysWhatItIsMadeOfForSomething() {
    String fleet = FLEET.replace("int size()", "Fleet(int size) { this.size = size; } int size()");
    String sub = "public class Flotilla extends Fleet { Flotilla(%s) { super(%s); } }";
    assertEquals(1, Found.in(folder, fleet, sub.formatted("int n", "n")).of(Form.EMPTY).size());
    assertEquals(
        List.of(), Found.in(folder, fleet, sub.formatted("int n", "n + 1")).of(Form.EMPTY));
    assertEquals(List.of(), Found.in(folder, fleet, sub.formatted("", "3")).of(Form.EMPTY));
    assertEquals(
        List.of(),
        Found.in(folder, FLEET, "public class Flotilla extends Fleet implements Cloneable {}")
            .of(Form.EMPTY));
  }

  @Test
  void findsAnExceptionNeverLazy() {
    assertEquals(
        List.of(),
        Found.in(
                folder,
                "public class Adrift extends RuntimeException {}",
                "public class FarAdrift extends Adrift {}")
            .of(Form.EMPTY));
  }

  @Test
  void findsAClassThatNobodyUsesUnlessItIsOpenToOthers() {
    String lamp = "class Lamp { int lit; int lit() { return lit; } }";
    assertEquals(List.of("Lamp: nobody uses it"), Found.in(folder, lamp).of(Form.UNUSED));
    assertEquals(List.of(), Found.in(folder, "public " + lamp).of(Form.UNUSED));
    assertEquals(
        List.of(),
        Found.in(folder, lamp, "public class Quay { Object lamp = Lamp.class; }").of(Form.UNUSED));
    assertEquals(
        List.of(),
        Found.in(folder, "class Lamp { public static void main(String[] words) {} }")
            .of(Form.UNUSED));
  }

  @Test
  void findsAHelperOfOneMethodForOneClient() {
    String rounds = "class Rounds { static int up(int n) { return n < 0 ? 0 : n; } }";
    String user = "public class %s { int n = Rounds.up(4); }";
    assertEquals(
        List.of("Rounds: one small method, for Quay only"),
        Found.in(folder, rounds, user.formatted("Quay")).of(Form.SINGLE));
    assertEquals(
        List.of(),
        Found.in(folder, rounds, user.formatted("Quay"), user.formatted("Pier")).of(Form.SINGLE));
  }

  private static final String NOTE =
      """
      class Note {
        private int cents;
        int cents() { return cents; }
        void cents(int cents) { this.cents = cents; }
        String text() { return cents + " cents"; }
        %s
      }
      """;
  private static final String BERTH =
      """
      public class Berth {
        private final Note note = new Note();
        int rent() { return note.cents(); }
        void rent(int cents) { note.cents(cents); }
        String rentText() { return note.text(); }
      }
      """;

  @Test
  void findsAPartThatItsOneClientPassesOnAsAWhole() {
    Found found = Found.in(folder, NOTE.formatted(""), BERTH);
    assertEquals(
        List.of("Note: a part of Berth, which passes all its methods on"), found.of(Form.SINGLE));
    assertEquals(List.of("Berth"), found.one(Form.SINGLE).evidence().foreign());
    Found open = Found.in(folder, "public " + NOTE.formatted("").stripLeading(), BERTH);
    assertEquals(found.of(Form.SINGLE), open.of(Form.SINGLE));
  }

  @Test
  void takesAPartWithAMethodThatIsNotPassedOnForNone() {
    String more = "boolean free() { return cents == 0; }";
    assertEquals(List.of(), Found.in(folder, NOTE.formatted(more), BERTH).of(Form.SINGLE));
  }

  @Test
  void findsStaticHelpersOfWhichEachServesOneClass() {
    String helpers =
        """
        final class Helpers {
          static int half(int x) { return x / 2; }
          static String sign(int x) { return x < 0 ? "-" : "+"; }
        }
        """;
    String berth = "public class Berth { int x(int n) { return Helpers.half(n); } }";
    String quay = "public class Quay { String y(int n) { return Helpers.%s; } }";
    assertEquals(
        List.of("Helpers: 2 static methods, each for one class"),
        Found.in(folder, helpers, berth, quay.formatted("sign(n)")).of(Form.UNUSED));
    assertEquals(
        List.of(),
        Found.in(
                folder.resolve("both"), helpers, berth, quay.formatted("sign(n) + Helpers.half(n)"))
            .of(Form.UNUSED));
  }

  @Test
  void leavesAloneAThingOfThreeDataThatItsOwnerPassesOn() {
    String place =
        """
        class Place {
          private int row;
          private int deck;
          %s
          int row() { return row; }
          int deck() { return deck; }
        }
        """;
    String ticket =
        """
        public class Ticket {
          private final Place place = new Place();
          public int row() { return place.row(); }
          public int deck() { return place.deck(); }
        }
        """;
    assertEquals(
        List.of("Place: a part of Ticket, which passes all its methods on"),
        Found.in(folder, place.formatted(""), ticket).of(Form.SINGLE));
    assertEquals(
        List.of(), Found.in(folder, place.formatted("private int seat;"), ticket).of(Form.SINGLE));
  }

  @Test
  void leavesAloneStaticMethodsThatAreAllAboutOneClass() {
    String lines =
        """
        public class Lines {
          static String one(%s f) { return "" + f; }
          static String two(Fleet f) { return "." + f; }
        }
        """;
    String desk = "public class Desk { String s(Fleet f) { return Lines.one(%s); } }";
    String shop = "public class Shop { String s(Fleet f) { return Lines.two(f); } }";
    assertEquals(
        List.of(),
        Found.in(folder, FLEET, lines.formatted("Fleet"), desk.formatted("f"), shop)
            .of(Form.UNUSED));
    assertEquals(
        List.of("Lines: 2 static methods, each for one class"),
        Found.in(folder, FLEET, lines.formatted("Desk"), desk.formatted("this"), shop)
            .of(Form.UNUSED));
  }

  @Test
  void aPublicClassOfOneSmallMethodIsLazyWhereItsClientMakesIt() {
    String check = "public class Check { boolean ok(String name) { return name.length() > 2; } }";
    String quay =
        "public class Quay { private final Check check%s; int n;"
            + " void moor(String name) { if (check.ok(name)) { n++; } } }";
    assertEquals(
        List.of("Check: one small method, for Quay only"),
        Found.in(folder.resolve("a"), check, quay.formatted(" = new Check()")).of(Form.SINGLE));
    String given = quay.formatted("; Quay(Check check) { this.check = check; }");
    assertEquals(List.of(), Found.in(folder.resolve("b"), check, given).of(Form.SINGLE));
  }
}
