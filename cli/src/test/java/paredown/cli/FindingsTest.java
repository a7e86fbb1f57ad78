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
import org.junit.jupiter.api.Test;

/** Surveys in all formats, and what is done with their findings. */
class FindingsTest extends FerryWithAnEnviousMethod {
  @Test
  void smallerSmellsFillAScreenWhereNothingStandsOut() throws IOException {
    ferry.with("src/ferry/Pilot.java", "package ferry; public class Pilot { private int idle; }\n");
    Ran ran = Ran.pare(folder, "survey").exits(0);
    assertTrue(ran.out().contains("Pilot  nothing uses idle (slight)"), ran.out());
    assertTrue(ran.out().contains("Next: pare why unused-"), ran.out());
    Ran.pare(folder, "survey", "--fail-at", "1").exits(0);
  }

  @Test
  void tellsOfAClassHowNearItComesToTheLimits() throws IOException {
    ferry.with(
        "src/ferry/Crane.java",
        """
        package ferry;
        public class Crane {
          private final int reach;
          public Crane(int reach, int load) { this.reach = reach * load; }
          public int free(Berth berth) { return berth.depth() > reach ? 0 : reach; }
        }
        """);
    Ran ran = Ran.pare(folder, "survey", "--in", "Crane").exits(0);
    assertTrue(
        ran.out()
            .contains(
                """
                Nothing stands out.

                How near Crane comes to the limits:
                  value  limit
                      3     47  god class     ways through all its methods
                      1      5  god class     values of other classes that it uses
                      2      4  data clump    parameters of its longest constructor
                      1      3  feature envy  values of Berth that free uses, beside 1 of its own
                      1     60  long method   lines of its longest constructor

                Next: pare survey
                """),
        ran.out());
    String all = Ran.pare(folder, "survey", "--in", "ferry").exits(0).out();
    assertFalse(all.contains("How near"), all);
  }

  @Test
  void aChainOfClassesThatTheCompilerCannotTakeIsSaidAtOnce() throws IOException {
    StringBuilder chain = new StringBuilder("package ferry;\nclass Link0 {}\n");
    for (int i = 1; i <= 600; i++) {
      chain.append("class Link%d extends ferry.Link%d {}\n".formatted(i, i - 1));
    }
    ferry.with("src/ferry/Links.java", chain.toString());
    String err = Ran.pare(folder, "survey").exits(5).err();
    assertTrue(err.contains("Classes in src/ferry/Links.java extend each other"), err);
    assertTrue(err.contains("exclude: in pare.yaml"), err);
  }

  @Test
  void aClassThatExtendsOneOfItsOwnNameIsNoDeepChain() throws IOException {
    StringBuilder many = new StringBuilder("package ferry;\nclass Base {}\n");
    for (int i = 1; i <= 600; i++) {
      many.append("class Link%d extends Base {}\n".formatted(i));
    }
    ferry.with("src/ferry/Links.java", many.toString());
    ferry.with("src/quay/Hull.java", "package quay; public class Hull {}\n");
    ferry.with("src/ferry/Hull.java", "package ferry; public class Hull extends quay.Hull {}\n");
    Ran.pare(folder, "survey").exits(0);
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

  @Test
  void weakerFindingsFillAScreenWhereNothingStandsOut() throws IOException {
    ferry.with(
        "src/ferry/Pilot.java",
        "package ferry; public class Pilot { int a; public Pilot(int a, int b, int c, int d,"
            + " int e, int f) { this.a = a + b + c + d + e + f; } int a() { return a * 2; } }");
    String out = survey().exits(0).out();
    assertTrue(out.contains("a constructor of 6 parameters (slight)"), out);
    assertTrue(out.contains("Next: pare why "), out);
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
    assertTrue(
        preview.startsWith("fits(Berth) of Pilot moves to Berth; Pilot keeps a delegate."),
        preview);
    assertTrue(preview.contains("+  boolean takes() {"), preview);
    assertTrue(preview.contains("+    return !closed() && depth() > 2 && length() < 9;"), preview);
    assertTrue(preview.contains("+    return berth.takes();"), preview);
    assertTrue(preview.contains(" --name takes --expect "), preview);
  }

  @Test
  void movesAMethodByHand() {
    String[] words = {"move", "method", "Pilot#fits", "--to", "Berth", "--delegate", "none"};
    Ran ran = Ran.pare(folder, words).exits(0);
    assertTrue(ran.out().contains("Delegates:    none"), ran.out());
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
    assertTrue(nameless.err().contains("Name it with its class"), nameless.err());
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
    assertTrue(cut.err().contains("This would do: src/ferry/Lamp.java:6-7."), cut.err());
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
