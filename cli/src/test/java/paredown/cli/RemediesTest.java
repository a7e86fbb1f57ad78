package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The remedies that are offered for findings, and what becomes of them. */
class RemediesTest extends FerryWithAnEnviousMethod {
  /** A method of 65 lines and 8 decisions, of which one paragraph could go. */
  private static String tallyText() {
    StringBuilder text =
        new StringBuilder("package ferry;\n\nclass Tally {\n  int count(int[] all) {\n");
    text.append("    int sum = 0;\n\n    // count the deep ones\n    for (int each : all) {\n");
    text.append("      if (each > 9) {\n");
    for (int i = 0; i < 12; i++) {
      text.append("        sum += each * ").append(i).append(";\n");
    }
    text.append("      }\n    }\n\n");
    for (int i = 0; i < 6; i++) {
      text.append("    if (sum == ").append(i).append(") {\n      return sum;\n    }\n");
      text.append("    sum++;\n\n    sum--;\n\n");
    }
    return text.append("    return sum;\n  }\n}\n").toString();
  }

  @Test
  void offersToTakeAParagraphOutOfALongMethod() throws IOException {
    ferry.with("src/ferry/Tally.java", tallyText());
    String why = Ran.pare(folder, "why", "long").exits(0).out();
    assertTrue(why.contains("extract method countTheDeep (choose another name"), why);
    assertTrue(why.contains("-> gone, lines of the method 65 -> 50"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    String preview = Ran.pare(folder, "mend", id, "--name", "weigh").exits(0).out();
    assertTrue(preview.contains("+    sum = weigh(all, sum);"), preview);
    assertTrue(preview.contains("+  private int weigh(int[] all, int sum) {"), preview);
  }

  @Test
  void makesAMethodOfEachStageAndNamesThoseThatStay() throws IOException {
    ferry.with(
        "src/ferry/Day.java",
        """
        package ferry;

        class Day {
          int tide;

          String sheet(int[] all) {
            // the deep ones
            int deep = 0;
            for (int each : all) {
              deep += each > 9 ? tide : 0;
            }

            // both ends
            int first = all[0];
            int last = all[all.length - 1];
            tide = first;
            while (tide > last) {
              tide -= last;
            }

            // four of them
            int one = all[0];
            int two = all[1] + one;
            int three = all[2] + one;
            int four = all[3] + one;

            // how it is told
            StringBuilder text = new StringBuilder();
            text.append(deep).append(first).append(last).append(one + two + three + four);
            return text.toString();
          }
        }
        """);
    String out = Ran.pare(folder, "extract", "method", "Day#sheet", "--stages").exits(0).out();
    assertTrue(out.contains("+    int deep = deepOnes(all);"), out);
    assertTrue(out.contains("+    return told(deep, first, last, one, two, three, four);"), out);
    assertTrue(out.contains("+    int last = bothEnds.last();"), out);
    assertTrue(out.contains("Left out: extract method fourOfThem. What follows needs 4 v"), out);
    assertTrue(
        Ran.pare(folder, "extract", "method", "Day#tell", "--stages")
            .exits(2)
            .err()
            .startsWith("Day has no method tell."));
    assertTrue(
        Ran.pare(folder, "extract", "method", "Day:9-10")
            .exits(2)
            .err()
            .contains("The new method has no name."));
  }

  private static String list(String type, String word) {
    return """
        package ferry;

        import java.util.ArrayList;
        import java.util.List;

        class %1$sList {
          private final List<String> %2$s = new ArrayList<>();
          private final int places;

          %1$sList(int places) {
            this.places = places;
          }

          boolean register(String name) {
            if (name.isBlank() || %2$s.contains(name)) {
              return false;
            }
            %2$s.add(name);
            return %2$s.size() <= places;
          }

          List<String> waiting() {
            if (%2$s.size() <= places) {
              return List.of();
            }
            return List.copyOf(%2$s.subList(places, %2$s.size()));
          }
        }
        """
        .formatted(type, word);
  }

  @Test
  void putsAClassAboveTwoOfAKindThatRepeatEachOther() throws IOException {
    ferry.with("src/ferry/CrewList.java", list("Crew", "hands"));
    ferry.with("src/ferry/GuestList.java", list("Guest", "guests"));
    String why = Ran.pare(folder, "why", "dup").exits(0).out();
    assertTrue(why.contains("extract superclass CommonList (choose another name"), why);
    assertTrue(why.contains("-> gone, classes that say it 2 -> 1"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    String preview = Ran.pare(folder, "mend", id, "--name", "Waitlist").exits(0).out();
    assertTrue(preview.contains("+    super(places);"), preview);
    assertTrue(preview.contains("+abstract class Waitlist {"), preview);
  }

  @Test
  void takesAPartThatEnviesAnotherClassThereInOneStep() throws IOException {
    ferry.with(
        "src/ferry/Pilot.java",
        """
        package ferry;

        public class Pilot {
          private int seen;
          private int trips;
          private int rest;
          private int miles;

          int plan(Berth berth, int keel) {
            seen += keel;
            trips++;
            rest = miles - trips;

            int room = berth.depth() * 2;
            if (berth.closed()) {
              room -= berth.length();
            }
            room += berth.width() * berth.tide();

            seen -= room;
            return seen + trips + rest + miles;
          }
        }
        """);
    ferry.with(
        "src/ferry/Berth.java",
        """
        package ferry;

        public class Berth {
          private int depth;
          private int length;
          private int width;
          private int tide;
          private boolean closed;

          int depth() { return depth; }
          int length() { return length; }
          int width() { return width; }
          int tide() { return tide; }
          boolean closed() { return closed; }
          void close() { closed = true; }
        }
        """);
    String why = Ran.pare(folder, "why", id()).exits(0).out();
    assertTrue(why.startsWith("Part of plan(Berth, int) of Pilot"), why);
    assertTrue(why.contains("extract room, and move it to Berth"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    Ran.pare(folder, "mend", id, "--name", "space", "--apply").exits(0);
    assertTrue(ferry.sources().get("src/ferry/Pilot.java").contains("berth.space();"));
    assertTrue(ferry.sources().get("src/ferry/Berth.java").contains("int space() {"));
    assertFalse(survey().exits(0).out().contains("part of plan"));
  }

  @Test
  void saysOnceWhatKeepsSeveralRemediesFromBeingDone() throws IOException {
    ferry.with("src/ferry/Log.java", log("Cloneable"));
    String why = Ran.pare(folder, "why", "god").exits(0).out();
    assertTrue(why.contains("\n3 remedies are not offered:\n  extract class "), why);
    assertEquals(2, why.split("cloned").length, why);
  }

  @Test
  void offersOnConditionWhatAPersonMayAccept() throws IOException {
    ferry.with("src/ferry/Log.java", log("java.io.Serializable"));
    String why = Ran.pare(folder, "why", "god").exits(0).out();
    assertTrue(why.contains(", if you accept serialized: extract class "), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+) --accept serialized\\n.*", "$1");
    JsonNode json = Ran.pare(folder, "why", "god", "--format", "json").exits(0).json();
    JsonNode remedy = json.get("remedies").get(0);
    assertEquals(id, remedy.get("id").asText());
    assertEquals("serialized", remedy.get("conditions").get(0).asText());
    String preview = Ran.pare(folder, "mend", id, "--accept", "serialized").exits(0).out();
    assertTrue(preview.contains("Accepted: serialized"), preview);
    assertTrue(preview.contains("--accept serialized --expect "), preview);
  }

  private static final String FLUSH = "  public void flush() {}\n}\n";

  /** A class of three parts, of a type. */
  private static String log(String type) {
    StringBuilder text = new StringBuilder("package ferry; public class Log implements ");
    text.append(type).append(" {\n");
    for (char part = 'a'; part < 'd'; part++) {
      for (int i = 0; i < 2; i++) {
        text.append("  private int %1$s%2$d;%n".formatted(part, i));
      }
      text.append("  void %1$sSet(int x) { %1$s0 = x; }%n".formatted(part));
      for (int i = 0; i < 10; i++) {
        text.append(
            "  int %1$s%2$dSum(int x) { return x > 1 ? %1$s0 + x : %1$s1 > 2 ? %1$s0 : 1; }%n"
                .formatted(part, i));
      }
    }
    return text.append("}\n").toString();
  }

  @Test
  void takesAllGroupsOfAClassOutInOneStep() throws IOException {
    ferry.with("src/ferry/Log.java", log("java.io.Flushable").replaceAll("}\\R\\z", FLUSH));
    String why = Ran.pare(folder, "why", "god").exits(0).out();
    assertTrue(why.contains("extract classes LogB0, LogC0, LogA0\n  Log: weight "), why);
    assertTrue(why.contains("-> gone, fields 6 -> 3"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    Ran.pare(folder, "mend", id, "--apply").exits(0);
    assertTrue(ferry.sources().keySet().contains("src/ferry/LogC0.java"));
    assertFalse(survey().exits(0).out().contains("god-"), "still there");
    Ran.pare(folder, "undo").exits(0);

    Ran.pare(folder, "extract", "class", "Log", "--groups", "--apply").exits(0);
    assertTrue(ferry.sources().keySet().contains("src/ferry/LogC0.java"));
    Ran none = Ran.pare(folder, "extract", "class", "Sailing", "--groups").exits(2);
    assertTrue(none.err().contains("do not fall into several groups"), none.err());
  }

  @Test
  void offersToInlineAClassThatOnlyPassesOn() throws IOException {
    ferry.with(
        "src/ferry/BerthBook.java",
        """
        package ferry;

        class BerthBook {
          private final Berth berth = new Berth();

          int depth() { return berth.depth(); }
          int length() { return berth.length(); }
          boolean closed() { return berth.closed(); }
        }
        """);
    ferry.with(
        "src/ferry/Master.java",
        """
        package ferry;

        class Master {
          private final BerthBook book = new BerthBook();
          int sum() { return book.depth() + book.length() + (book.closed() ? 1 : 0); }
        }
        """);
    JsonNode lazy =
        survey("--only", "lazy-class", "--format", "json").exits(0).json().get("findings").get(0);
    String out = Ran.pare(folder, "mend", lazy.get("id").asText()).exits(0).out();
    assertTrue(out.startsWith("BerthBook, which only passes on to Berth, is gone"), out);
    assertTrue(out.contains("deleted file mode 100644"), out);
    assertTrue(out.contains("+  private final Berth book = new Berth();"), out);
  }

  @Test
  void offersOneMethodForWhatStandsTwiceInAClass() throws IOException {
    ferry.with(
        "src/ferry/Board.java",
        """
        package ferry;

        import java.util.List;

        class Board {
          private final List<String> boats = List.of("Tern");

          String text() {
            StringBuilder text = new StringBuilder();
            for (String boat : boats) {
              if (boat.length() == 3) {
                text.append("  ").append(boat.strip()).append(' ').append(boat.length());
                text.append(boat.isBlank() ? " -" : "");
              }
            }
            text.append("Large");
            for (String each : boats) {
              if (each.length() == 30) {
                text.append("  ").append(each.strip()).append(' ').append(each.length());
                text.append(each.isBlank() ? " -" : "");
              }
            }
            return text.toString();
          }
        }
        """);
    JsonNode found =
        survey("--only", "duplicate", "--format", "json").exits(0).json().get("findings").get(0);
    String out = Ran.pare(folder, "mend", found.get("id").asText()).exits(0).out();
    assertTrue(out.contains("+    textPart(text, 3);"), out);
    assertTrue(out.contains("+    textPart(text, 30);"), out);
    assertTrue(out.contains("The same stood in line 17, too, and is a call now."), out);
  }

  @Test
  void offersAClassForWhatAnotherShowsOfItself() throws IOException {
    ferry.with(
        "src/ferry/Account.java",
        """
        package ferry;

        class Account {
          private int grams;
          private boolean closed;

          void bring(int more) {
            if (closed) {
              throw new IllegalStateException();
            }
            grams += more;
          }

          int due() {
            return grams > 100 ? grams / 85 : 0;
          }

          boolean close() {
            if (due() == 0) {
              closed = true;
            }
            return closed;
          }

          String toJson() {
            return "{" + kilos() + "," + closed + "}";
          }

          String toCsv() {
            return kilos() + ";" + due() + "\\n";
          }

          private String kilos() {
            return String.format("%.3f", grams / 1000.0);
          }
        }
        """);
    JsonNode found =
        survey("--only", "divergent-change", "--format", "json")
            .exits(0)
            .json()
            .get("findings")
            .get(0);
    String out = Ran.pare(folder, "mend", found.get("id").asText()).exits(0).out();
    assertTrue(out.contains("AccountText.java"), out);
    assertTrue(out.contains("+  static String toCsv(Account account) {"), out);
  }

  /** The id of the finding of a class. */
  private String idOf(String type, String smell) throws IOException {
    JsonNode findings =
        survey("--only", smell, "--all", "--format", "json").exits(0).json().get("findings");
    for (JsonNode each : findings) {
      if (each.get("type").asText().endsWith(type)) {
        return each.get("id").asText();
      }
    }
    throw new AssertionError(type + " is not in " + findings);
  }

  @Test
  void takesTheExpressionToItsObjectWhereTheLoopAroundItCannotGo() throws IOException {
    ferry.with(
        "src/ferry/Load.java",
        """
        package ferry;

        public class Load {
          private int gross;
          private int tare;
          private int cents;

          public int gross() {
            return gross;
          }

          public int tare() {
            return tare;
          }

          public int cents() {
            return cents;
          }

          public void set(int gross, int tare, int cents) {
            this.gross = gross;
            this.tare = tare;
            this.cents = cents;
          }
        }
        """);
    ferry.with(
        "src/ferry/Bill.java",
        """
        package ferry;

        import java.util.List;

        public class Bill {
          private String payer;
          private List<List<Load>> trips;

          public Bill(String payer, List<List<Load>> trips) {
            this.payer = payer;
            this.trips = trips;
          }

          public String text() {
            StringBuilder text = new StringBuilder(payer).append(" owes ");
            for (List<Load> trip : trips) {
              int sum = 0;
              for (Load load : trip) {
                sum += (load.gross() - load.tare()) * load.cents();
              }
              text.append(sum).append(" cents, ");
            }
            return text.append("in all").toString();
          }
        }
        """);
    String finding = idOf("Bill", "feature-envy");
    String why = Ran.pare(folder, "why", finding).exits(0).out();
    assertTrue(why.contains("Bill: weight 30 -> gone"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    String preview = Ran.pare(folder, "mend", id, "--name", "price").exits(0).out();
    assertTrue(preview.contains("+        sum += load.price();"), preview);
    assertTrue(preview.contains("+    return (gross() - tare()) * cents();"), preview);
    String first = Ran.pare(folder, "mend", id, "--name", "price", "--until", "1").exits(0).out();
    assertTrue(first.contains("+        sum += price(load);"), first);
    assertTrue(first.contains("--name price --until 1 --expect"), first);
    String none = Ran.pare(folder, "mend", id, "--until", "2").exits(2).err();
    assertTrue(none.contains("This remedy has 2 steps.\nSay --until 1"), none);
  }

  @Test
  void proposesOneObjectForValuesThatArePassedTogether() throws IOException {
    ferry.with(
        "src/ferry/Seats.java",
        """
        package ferry;

        class Seats {
          private int sold;

          boolean free(int deck, int row, int seat) {
            return deck > 0 && row > 0 && seat > sold;
          }

          void sell(int deck, int row, int seat) {
            sold += deck * row * seat;
          }

          int price(int deck, int row, int seat) {
            return deck > 2 ? row * seat : seat;
          }

          String name(int deck, int row, int seat) {
            return deck + "/" + row + "/" + seat;
          }
        }
        """);
    String id = idOf("Seats", "data-clump");
    String out = Ran.pare(folder, "mend", id, "--name", "Place").exits(0).out();
    assertTrue(out.contains("+record Place(int deck, int row, int seat) {}"), out);
    assertTrue(out.contains("+  void sell(Place place) {"), out);
  }

  @Test
  void letsAnObjectAnswerTheOneQuestionThatManyAskOfIt() throws IOException {
    ferry.with(
        "src/ferry/Load.java",
        """
        package ferry;

        record Load(Kind kind, int tons) {
          enum Kind {
            CAR,
            HORSE_BOX
          }
        }
        """);
    for (String clerk : List.of("Deck", "Gate", "Quay")) {
      ferry.with(
          "src/ferry/%s.java".formatted(clerk),
          """
          package ferry;

          class %1$s {
            int due%1$s(Load load, boolean late) {
              if (load.kind() == Load.Kind.HORSE_BOX && !late) {
                return load.tons() * %2$d;
              }
              return %2$d;
            }
          }
          """
              .formatted(clerk, clerk.hashCode() % 90));
    }
    ferry.with(
        "src/ferry/Slip.java",
        """
        package ferry;

        class Slip {
          boolean isFree(Load load, boolean late) {
            return late || load.kind() != Load.Kind.HORSE_BOX;
          }
        }
        """);
    String out = Ran.pare(folder, "mend", idOf("Load", "feature-envy")).exits(0).out();
    assertTrue(out.contains("+    return late || !load.isHorseBox();"), out);
    assertTrue(out.contains("+  boolean isHorseBox() {"), out);
    assertTrue(out.contains("+    if (load.isHorseBox() && !late) {"), out);
    assertTrue(out.contains("src/ferry/Quay.java "), out);
  }

  @Test
  void bringsWhatDecidesByAKindToTheClassThatHasIt() throws IOException {
    ferry.with("src/ferry/Tide.java", "package ferry;\n\nenum Tide {\n  EBB, FLOOD, SLACK\n}\n");
    ferry.with(
        "src/ferry/Log.java",
        "package ferry;\n\nclass Log {\n  private Tide tide;\n\n  Tide tide() {\n    return tide;\n  }\n}\n");
    for (String name : List.of("Desk", "Pier")) {
      ferry.with(
          "src/ferry/" + name + ".java",
          """
          package ferry;

          class %s {
            int due%1$s(Log log) {
              switch (log.tide()) {
                case EBB:
                  return 1;
                case FLOOD:
                  return 2;
                default:
                  return 3;
              }
            }
          }
          """
              .formatted(name));
    }
    String why = Ran.pare(folder, "why", "kind").exits(0).out();
    assertTrue(why.contains("move 2 methods to Log\n  Tide: weight"), why);
    assertTrue(why.contains("-> gone, places elsewhere that decide 2 -> 0"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    String preview = Ran.pare(folder, "mend", id).exits(0).out();
    assertTrue(preview.contains("+  int dueDesk() {\n+    switch (tide()) {"), preview);
  }

  @Test
  void takesAParameterThatNothingUsesFromAllWhoHandItOn() throws IOException {
    ferry.with(
        "src/ferry/Log.java",
        """
        package ferry;

        public class Log {
          private int n;

          public void plan(int by, String captain) {
            n += by;
            count(by, captain);
          }

          private void count(int by, String captain) {
            n -= by * n;
          }

          private int idle() {
            return n;
          }
        }
        """);
    String found = Ran.pare(folder, "survey", "--in", "Log").exits(0).out();
    String which = found.replaceAll("(?s).*Next: pare why (\\S+)\\R.*", "$1");
    String why = Ran.pare(folder, "why", which).exits(0).out();
    assertTrue(why.contains("remove all that nothing uses\n  Log: weight 28 -> gone"), why);
    assertTrue(why.contains("remove parameter captain of count and plan"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    String preview = Ran.pare(folder, "mend", id).exits(0).out();
    assertTrue(preview.contains("+  public void plan(int by) {"), preview);
    assertTrue(preview.contains("-  private int idle() {"), preview);
  }

  @Test
  void takesStagesOutOfAMethodWithoutBlankLinesByWhatTheyWorkOut() throws IOException {
    StringBuilder day =
        new StringBuilder("package ferry;\n\nclass Day {\n  int sheet(int[] all) {\n");
    for (String what : List.of("deep", "wide", "late", "low")) {
      day.append("    int %s = 0;\n".formatted(what));
      day.append("    for (int each : all) {\n      if (each > %d) {\n".formatted(what.length()));
      for (int i = 0; i < 9; i++) {
        day.append("        %s += each * %d;\n".formatted(what, i));
      }
      day.append("      }\n    }\n");
      day.append("    if (%1$s > 90) {\n      return %1$s;\n    }\n".formatted(what));
    }
    ferry.with("src/ferry/Day.java", day + "    return deep + wide + late + low;\n  }\n}\n");
    String why = Ran.pare(folder, "why", "long").exits(0).out();
    assertTrue(why.contains("extract the stages of sheet"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    String preview = Ran.pare(folder, "mend", id).exits(0).out();
    assertTrue(preview.contains("+    int late = late(all);"), preview);
  }

  @Test
  void offersOneMethodForWhatComesBeforeAFieldIsSet() throws IOException {
    String sets =
        """
          void set%1$s(String %2$s) {
            if (%2$s == null) {
              throw new IllegalArgumentException("%2$s is missing");
            }
            String bare = %2$s.trim();
            if (bare.isEmpty() || bare.length() > 40) {
              throw new IllegalArgumentException("%2$s has " + bare.length());
            }
            this.%2$s = bare;
          }
        """;
    ferry.with(
        "src/ferry/Log.java",
        "package ferry;\n\nclass Log {\n  private String name, home;\n"
            + sets.formatted("Name", "name")
            + sets.formatted("Home", "home")
            + "  String text() {\n    return name + home;\n  }\n}\n");
    String why = Ran.pare(folder, "why", "dup").exits(0).out();
    assertTrue(why.contains("extract method bare (choose another name with --name)"), why);
  }

  @Test
  void letsTheFirstObjectOfAChainAskItsWay() throws IOException {
    String holds =
        "package ferry;\n\nclass %s {\n  private %s %s;\n\n  %2$s %3$s() {\n    return %3$s;\n  }\n}\n";
    ferry.with("src/ferry/Ship.java", holds.formatted("Ship", "Engine", "engine"));
    ferry.with("src/ferry/Engine.java", holds.formatted("Engine", "Tank", "tank"));
    ferry.with("src/ferry/Tank.java", holds.formatted("Tank", "int", "litres"));
    ferry.with(
        "src/ferry/Bunker.java",
        """
        package ferry;

        public class Bunker {
          private int sold;

          public int missing(Ship ship) {
            sold++;
            return 400 - ship.engine().tank().litres() + sold;
          }
        }
        """);
    String why = Ran.pare(folder, "why", "chain").exits(0).out();
    assertTrue(why.contains("extract tank, and move it to Ship"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    String preview = Ran.pare(folder, "mend", id).exits(0).out();
    assertTrue(preview.contains("+    return 400 - ship.tank().litres() + sold;"), preview);
    assertTrue(preview.contains("+  Tank tank() {\n+    return engine().tank();"), preview);
  }

  @Test
  void letsAnObjectHoldWhatItsMethodsHandThrough() throws IOException {
    ferry.with(
        "src/ferry/Bulletin.java",
        """
        package ferry;

        class Bulletin {
          private int lines;

          String morning(String signer, int tide) {
            lines++;
            return line(tide, signer);
          }

          private String line(int tide, String signer) {
            lines++;
            return tide + end(signer);
          }

          private String end(String signer) {
            return " (" + signer + "), line " + lines;
          }
        }
        """);
    ferry.with(
        "src/ferry/Office.java",
        """
        package ferry;

        public class Office {
          public String day(String clerk) {
            Bulletin bulletin = new Bulletin();
            return bulletin.morning(clerk, 4);
          }
        }
        """);
    String found = Ran.pare(folder, "survey", "--in", "Bulletin").exits(0).out();
    String which = found.replaceAll("(?s).*Next: pare why (\\S+)\\R.*", "$1");
    String why = Ran.pare(folder, "why", which).exits(0).out();
    assertTrue(why.contains("move parameter signer into a field of Bulletin"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    String preview = Ran.pare(folder, "mend", id, "--name", "by").exits(0).out();
    assertTrue(preview.contains("+    Bulletin bulletin = new Bulletin(clerk);"), preview);
    assertTrue(preview.contains("+    return \" (\" + by + \"), line \" + lines;"), preview);
  }

  @Test
  void offersToRemoveWhatNobodyUses() throws IOException {
    ferry.with("src/ferry/Slip.java", "package ferry;\n\nclass Slip {\n  int n = 2;\n}\n");
    String found = Ran.pare(folder, "survey", "--in", "Slip").exits(0).out();
    String why =
        Ran.pare(folder, "why", found.replaceAll("(?s).*Next: pare why (\\S+)\\R.*", "$1"))
            .exits(0)
            .out();
    assertTrue(why.contains("remove class Slip\n  Slip: weight 45 -> gone"), why);
  }

  @Test
  void makesAMethodOfEachValueThatRepeatedCodeGives() throws IOException {
    String sums =
        """
            int deep = 0;
            for (int each : all) {
              deep += each > 9 ? each : Integer.signum(each);
            }
            int flat = 1;
            while (flat < Integer.bitCount(deep)) {
              flat = Integer.sum(flat, all.length);
            }
        """;
    ferry.with(
        "src/ferry/Tally.java",
        "package ferry;\n\nclass Tally {\n  int sum(int[] all) {\n"
            + sums
            + "    return deep * flat;\n  }\n\n  String text(int[] all) {\n"
            + sums
            + "    return deep + \" of \" + flat;\n  }\n}\n");
    String why = Ran.pare(folder, "why", "dup").exits(0).out();
    assertTrue(why.contains("extract methods deep, flat\n  Tally: weight"), why);
  }
}
