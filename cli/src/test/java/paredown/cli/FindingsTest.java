package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.eclipse.jgit.api.Git;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Surveys in all formats, and what is done with their findings. */
class FindingsTest {
  private static final String BERTH =
      """
      package ferry;

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
      package ferry;

      public class Pilot {
        int seen;

        boolean fits(Berth berth) {
          return !berth.closed() && berth.depth() > 2 && berth.length() < 9;
        }
      }
      """;
  @TempDir Path folder;
  private Ferry ferry;

  @BeforeEach
  void layOut() throws IOException {
    ferry = Ferry.in(folder).with("src/ferry/Berth.java", BERTH);
    ferry.with("src/ferry/Pilot.java", PILOT);
  }

  private Ran survey(String... options) {
    List<String> words = new ArrayList<>(List.of("survey"));
    words.addAll(List.of(options));
    return Ran.pare(folder, words.toArray(String[]::new));
  }

  private String id() {
    return survey("--format", "json").exits(0).json().get("findings").get(0).get("id").asText();
  }

  @Test
  void saysThatSmallerSmellsAreThereWhereNothingStandsOut() throws IOException {
    ferry.with("src/ferry/Pilot.java", "package ferry; public class Pilot { private int idle; }\n");
    Ran ran = Ran.pare(folder, "survey").exits(0);
    assertTrue(ran.out().contains("Nothing stands out."), ran.out());
    assertTrue(
        ran.out().contains("2 findings of smaller smells are not shown; --all shows them."),
        ran.out());
    assertTrue(ran.out().contains("Next: pare survey --all"), ran.out());
  }

  @Test
  void showsAndExplainsAnEnviousMethod() {
    String out = survey().exits(0).out();
    assertTrue(out.contains("Pilot  fits lives on 3 values of Berth"), out);
    String why = Ran.pare(folder, "why", id()).exits(0).out();
    assertTrue(
        why.startsWith("fits(Berth) of Pilot belongs to Berth, whose data it lives on."), why);
    assertTrue(why.contains("closed, depth, length"), why);
    assertTrue(why.contains("move method fits(Berth) to Berth (choose another name"), why);
    JsonNode json = Ran.pare(folder, "why", id(), "--format", "json").exits(0).json();
    assertEquals(3, json.get("remedies").get(0).get("effect").get(1).get("before").asInt());
    assertEquals(0, json.get("remedies").get(0).get("effect").get(0).get("after").asInt());
  }

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
    assertTrue(why.contains("extract planBerth, and move it to Berth"), why);
    String id = why.replaceAll("(?s).*Next: pare mend (\\S+)\\R.*", "$1");
    Ran.pare(folder, "mend", id, "--name", "room", "--apply").exits(0);
    assertTrue(ferry.sources().get("src/ferry/Pilot.java").contains("berth.room();"));
    assertTrue(ferry.sources().get("src/ferry/Berth.java").contains("int room() {"));
    assertFalse(survey().exits(0).out().contains("part of plan"));
  }

  @Test
  void pointsToTheWeakerFindingsWhereNothingStandsOut() throws IOException {
    ferry.with(
        "src/ferry/Pilot.java",
        "package ferry; public class Pilot { int a; public Pilot(int a, int b, int c, int d,"
            + " int e) { this.a = a + b + c + d + e; } int a() { return a * 2; } }");
    String out = survey().exits(0).out();
    assertTrue(out.contains("Nothing stands out."), out);
    assertTrue(out.contains("Next: pare survey --all"), out);
    assertTrue(survey("--all").exits(0).out().contains("Next: pare why "));
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
  void showsAsMuchOfAHeadAsThereIsRoomFor() throws IOException {
    Files.writeString(
        folder.resolve("src/ferry/Crane.java"),
        """
        package ferry;

        class Crane {
          int lift(int reach, int load, int height) {
            return load;
          }

          int lower(
              int reach, int load, int height) {
            return height;
          }

          protected synchronized final int swing(final int reach, final int load, final int height, final int wind) {
            return reach;
          }

          int lean(int reach, int load, int height, String towardsTheQuay, String awayFromTheQuay, int wind) {
            return reach;
          }
        }
        """);
    String why = Ran.pare(folder, "why", "clump").exits(0).out();
    assertTrue(why.contains("  4  int lift(int reach, int load, int height)\n"), why);
    assertTrue(why.contains("  8  lower(int reach, int load, int height)\n"), why);
    assertTrue(why.contains(" 13  swing(int reach, int load, int height, int wind)"), why);
    assertTrue(
        why.contains(" 17  lean(reach, load, height, towardsTheQuay, awayFromTheQuay, wind)"), why);
  }

  @Test
  void mendsAnEnviousMethodByMovingIt() {
    String preview = Ran.pare(folder, "mend", id(), "--name", "takes").exits(0).out();
    assertTrue(preview.startsWith("fits(Berth) of Pilot moves to Berth; Pilot goes on"), preview);
    assertTrue(preview.contains("+  boolean takes() {"), preview);
    assertTrue(preview.contains("+    return !closed() && depth() > 2 && length() < 9;"), preview);
    assertTrue(preview.contains("+    return berth.takes();"), preview);
    assertTrue(preview.contains(" --name takes --expect "), preview);
  }

  @Test
  void movesAMethodByHand() {
    String[] words = {"move", "method", "Pilot#fits", "--to", "Berth", "--delegate", "none"};
    Ran ran = Ran.pare(folder, words).exits(0);
    assertTrue(ran.out().contains("Forwarding:   nothing"), ran.out());
    assertTrue(
        ran.out().contains("pare move method 'Pilot#fits' --to Berth --delegate none --expect "),
        ran.out());
  }

  @Test
  void saysWhatMayBeOverruledAndHow() throws IOException {
    ferry.with(
        "src/ferry/Pilot.java",
        "package ferry; class Pilot { int deep(Berth b) { return b == null ? 0 : b.depth(); } }");
    Ran refused = Ran.pare(folder, "move", "method", "Pilot#deep", "--to", "Berth").exits(3);
    assertTrue(refused.err().contains("say --accept maybe-null"), refused.err());
    Ran.pare(folder, "move", "method", "Pilot#deep", "--to", "Berth", "--accept", "maybe-null")
        .exits(0);
    Ran wrong =
        Ran.pare(folder, "move", "method", "Pilot#deep", "--to", "Berth", "--accept", "may-be-nul")
            .exits(2);
    assertTrue(wrong.err().contains("Did you mean maybe-null?"), wrong.err());
    Ran nameless = Ran.pare(folder, "move", "method", "Pilot", "--to", "Berth").exits(2);
    assertTrue(nameless.err().contains("Name its class, too"), nameless.err());
  }

  @Test
  void renamesAMethodWhereverItIsMeant() {
    String preview = Ran.pare(folder, "rename", "Berth#depth()", "--name", "draft").exits(0).out();
    assertTrue(preview.startsWith("depth() of Berth becomes draft."), preview);
    assertTrue(
        preview.contains("Next: pare rename 'Berth#depth()' --name draft --expect "), preview);
    Ran taken = Ran.pare(folder, "rename", "Berth#depth()", "--name", "toString").exits(3);
    assertTrue(taken.err().contains("Choose another with --name."), taken.err());
  }

  @Test
  void renamesATypeWithItsFileAndTakesItBack() throws IOException {
    Map<String, String> before = ferry.sources();
    Ran.pare(folder, "rename", "Berth", "--name", "Quay", "--accessors").exits(2);
    Ran preview = Ran.pare(folder, "rename", "Berth", "--name", "Quay").exits(0);
    assertTrue(preview.out().contains("src/ferry/Quay.java"), preview.out());
    assertTrue(preview.out().contains("was Berth.java"), preview.out());
    assertTrue(preview.out().contains("rename from src/ferry/Berth.java"), preview.out());
    JsonNode kept =
        Ran.pare(folder, "rename", "Berth", "--name", "Quay", "--apply", "--format", "json")
            .exits(0)
            .json();
    List<String> moved = new ArrayList<>();
    kept.get("files").forEach(file -> moved.add(file.path("movedFrom").asText()));
    assertTrue(moved.contains("src/ferry/Berth.java"), kept.toString());
    assertFalse(ferry.sources().containsKey("src/ferry/Berth.java"));
    Ran.pare(folder, "undo").exits(0);
    assertEquals(before, ferry.sources());
  }

  @Test
  void movesAClassToANewPackageAndTakesItBack() throws IOException {
    Map<String, String> before = ferry.sources();
    Ran preview = Ran.pare(folder, "move", "class", "Berth", "--to", "ferry.port").exits(0);
    assertTrue(preview.out().startsWith("Berth goes from ferry to ferry.port."), preview.out());
    assertTrue(preview.out().contains("was src/ferry/Berth.java"), preview.out());
    assertTrue(preview.out().contains("Berth#depth: package -> public"), preview.out());
    Ran.pare(folder, "move", "class", "Berth", "--to", "ferry.port", "--apply").exits(0);
    assertTrue(ferry.sources().containsKey("src/ferry/port/Berth.java"));
    Ran.pare(folder, "undo").exits(0);
    assertEquals(before, ferry.sources());
    Ran same = Ran.pare(folder, "move", "class", "Berth", "--to", "ferry").exits(2);
    assertTrue(same.err().contains("Berth is in ferry already."), same.err());
  }

  @Test
  void extractsAMethodAndSaysWhichLinesWouldDo() throws IOException {
    ferry.with(
        "src/ferry/Lamp.java",
        """
        package ferry;

        class Lamp {
          int shine(int oil) {
            int hours = oil * 3;
            hours -= 1;
            return hours;
          }
        }
        """);
    Map<String, String> before = ferry.sources();
    String[] typed = {"extract", "method", "Lamp:5-6", "--name", "hours"};
    Ran preview = Ran.pare(folder, typed).exits(0);
    assertTrue(
        preview.out().startsWith("What stands in lines 5 to 6 becomes hours(oil) of Lamp."),
        preview.out());
    assertTrue(preview.out().contains("+    int hours = hours(oil);"), preview.out());
    Ran.pare(folder, "extract", "method", "Lamp:5-6", "--name", "hours", "--apply").exits(0);
    assertTrue(ferry.sources().get("src/ferry/Lamp.java").contains("private int hours(int oil) {"));
    Ran.pare(folder, "undo").exits(0);
    assertEquals(before, ferry.sources());
    Ran cut = Ran.pare(folder, "extract", "method", "Lamp:6-8", "--name", "g").exits(2);
    assertTrue(cut.err().contains("These would do: src/ferry/Lamp.java:6-7."), cut.err());
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
  void writesALogThatFitsTheStandardsSchema() throws IOException {
    Ran.pare(folder, "accept", id(), "--because", "kept apart").exits(0);
    ferry.with("src/ferry/Lamp.java", "package ferry;\n\nclass Lamp {}\n");
    JsonNode log = new ObjectMapper().readTree(survey("--format", "sarif").exits(0).out());
    try (InputStream schema =
        FindingsTest.class.getResourceAsStream("/schema/sarif-schema-2.1.0.json")) {
      assertEquals(
          Set.of(),
          JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V7)
              .getSchema(schema)
              .validate(log));
    }
    JsonNode results = log.get("runs").get(0).get("results");
    assertEquals(2, results.size());
    assertEquals("lazy-class", results.get(0).get("ruleId").asText());
    JsonNode envy = results.get(1);
    assertEquals("kept apart", envy.get("suppressions").get(0).get("justification").asText());
    assertTrue(envy.get("partialFingerprints").get("pareFinding/v1").asText().startsWith("envy-"));
    assertEquals(2, envy.get("relatedLocations").size());
    assertEquals(
        "src/ferry/Pilot.java",
        envy.at("/locations/0/physicalLocation/artifactLocation/uri").asText());
  }

  @Test
  void writesMarkdownForAPullRequest() {
    String out = survey("--format", "markdown").exits(0).out();
    assertTrue(out.startsWith("### Pare Down: 1 finding worth a look\n"), out);
    assertTrue(out.contains("| `Pilot` | feature envy: fits lives on 3 values of Berth |"), out);
    assertTrue(out.contains("- `src/ferry/Pilot.java:6` `fits(Berth)`"), out);
  }

  @Test
  void writesOnePageThatNeedsNoNetwork() throws IOException {
    Path page = folder.resolve("page.html");
    survey("--format", "html", "--out", page.toString()).exits(0);
    String html = Files.readString(page);
    assertTrue(html.contains("<h2 id=\"envy-"), "a section for the finding");
    assertTrue(html.contains("return !berth.closed() &amp;&amp; berth.depth() &gt; 2"), html);
    assertTrue(html.contains("foreign data it uses <b>3 → 0</b>"), html);
    assertFalse(html.matches("(?s).*(src|href)=\"(?!#).*"), "nothing is fetched");
    assertFalse(html.contains("http"), "nothing is fetched");
    assertFalse(html.contains("[="), "the template is filled in");
  }

  @Test
  void saysWhereItCannotWriteItsAnswer() {
    Ran ran = survey("--out", "nowhere/findings.txt").exits(2);
    assertTrue(ran.err().startsWith("The file nowhere/findings.txt cannot be written."), ran.err());
  }

  @Test
  void onlyASurveyHasTheOtherFormats() {
    Ran ran = Ran.pare(folder, "steps", "--format", "html").exits(2);
    assertTrue(ran.err().startsWith("Only a survey can be given as html."), ran.err());
  }

  @Test
  void livesWithAFindingUntilItGetsWorse() throws IOException {
    String id = id();
    Ran accepted = Ran.pare(folder, "accept", id, "--because", "the wire is fixed").exits(0);
    assertTrue(accepted.out().contains("until its figures get worse by a fifth"), accepted.out());
    assertTrue(survey().exits(0).out().contains("1 accepted finding stays away"));
    assertTrue(Ran.pare(folder, "why", id).exits(0).out().startsWith("fits(Berth) of Pilot"));
    assertTrue(Ran.pare(folder, "accept").exits(0).out().contains("the wire is fixed"));
    String worse = PILOT.replace("< 9;", "< 9 && berth.a > 0 && berth.b > 0;");
    ferry.with(
        "src/ferry/Berth.java", BERTH.replace("private int depth", "int a, b; private int depth"));
    ferry.with("src/ferry/Pilot.java", worse);
    assertTrue(survey().exits(0).out().contains("fits lives on 5 values"), "it is back");
    Ran.pare(folder, "accept", id, "--withdraw").exits(0);
    assertFalse(Files.exists(folder.resolve("pare-accepted.yaml")));
    assertTrue(
        Ran.pare(folder, "accept", id, "--withdraw").exits(2).err().startsWith("No finding"));
    JsonNode none = Ran.pare(folder, "accept", "--format", "json").exits(0).json();
    assertEquals(0, none.get("accepted").size());
  }

  @Test
  void failsForFindingsOfAWeightAndWithNewOnlyForThoseThatAreNotAccepted() {
    survey("--fail-at", "30").exits(1);
    survey("--fail-at", "99").exits(0);
    Ran.pare(folder, "accept", id()).exits(0);
    survey("--fail-at", "30").exits(1);
    survey("--fail-at", "30", "--new").exits(0);
    assertTrue(survey("--fail-at", "101").exits(2).err().startsWith("No finding can weigh 101."));
  }

  @Test
  void looksOnlyAtWhatDiffersFromARevision() throws Exception {
    assertTrue(survey("--changed").exits(2).err().startsWith("This project is in no Git"));
    try (Git git = Git.init().setDirectory(folder.toFile()).call()) {
      git.add().addFilepattern(".").call();
      git.commit()
          .setMessage("begin")
          .setAuthor("Clerk", "clerk@ferry.invalid")
          .setSign(false)
          .call();
      assertTrue(survey("--changed").exits(0).out().contains("Nothing stands out."));
      ferry.with("src/ferry/Pilot.java", PILOT.replace("< 9", "< 8"));
      assertTrue(survey("--changed", "HEAD").exits(0).out().contains("fits lives on"));
      assertTrue(survey("--changed", "nowhere").exits(2).err().startsWith("There is no revision"));
    }
  }

  @Test
  void saysWhereAPlaceOrASmellIsMisspelt() {
    Ran place = survey("--in", "Pilott").exits(2);
    assertTrue(place.err().contains("There is no class or package Pilott"), place.err());
    assertTrue(place.err().contains("ferry.Pilot"), place.err());
    Ran smell = survey("--only", "feature-envi").exits(2);
    assertTrue(smell.err().contains("Did you mean feature-envy?"), smell.err());
    assertTrue(survey("--only", "god").exits(0).out().contains("Nothing stands out."));
  }

  @Test
  void saysWhatToDoWhereMemoryRunsOut() throws Exception {
    StringBuilder many = new StringBuilder("package ferry;\n\npublic class Log {\n");
    for (int i = 0; i < 20_000; i++) {
      many.append("  int step%d(int a) { return a + %d; }\n".formatted(i, i));
    }
    ferry.with("src/ferry/Log.java", many.append("}\n").toString());
    ProcessBuilder builder = Ran.builder(folder, "survey");
    builder.command().add(1, "-Xmx24m");
    Process process = builder.redirectErrorStream(true).start();
    String out = new String(process.getInputStream().readAllBytes());
    assertEquals(5, process.waitFor(), out);
    assertTrue(out.contains("PARE_JAVA_OPTIONS=-Xmx4g"), out);
  }
}
