package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Changes on the disk, with tests that are green, red, flaky, slow or killed. */
class ApplyTest {
  private static final String[] APPLY =
      "extract class Sailing --fields departs,arrives --methods crossing --name Passage --apply"
          .split(" ");
  private static final String REPORT =
      """
      mkdir -p reports
      cat > reports/TEST-ferry.xml <<'END'
      <testsuite>
        <testcase classname="ferry.SailingTest" name="sails"/>
        <testcase classname="ferry.SailingTest" name="floats">%s</testcase>
        %s
      </testsuite>
      END
      """;

  private static final String BERTH =
      """
      package ferry;

      public class Berth {
        private int depth;
        private int length;
        private int height;
        private String name;
        private int number;
        private boolean closed;

        int room() {
          return depth * length * height;
        }

        boolean fits(int draught, int metres) {
          return draught < depth && metres < length;
        }

        boolean tall(int metres) {
          return metres > height + depth;
        }

        boolean wide() {
          return length > height;
        }

        String label() {
          return name + number;
        }
      }
      """;

  @TempDir Path folder;
  private Ferry ferry;
  private Map<String, String> before;

  @BeforeEach
  void layOut() throws IOException {
    ferry = Ferry.in(folder);
    before = ferry.sources();
  }

  private void reporting(String script) throws IOException {
    ferry.with("test.sh", script);
    ferry.with("pare.yaml", "test-command: sh test.sh\ntest-reports: [reports]\n");
  }

  private static String report(String floats, String more) {
    return REPORT.formatted(floats, more);
  }

  @Test
  void keepsAChangeWhoseTestsAreGreenAndUndoesItToTheByte() throws IOException {
    Ran applied = Ran.pare(folder, APPLY).exits(0);
    assertTrue(applied.out().contains("Tests after   1 passed, 0 failed"), applied.out());
    assertEquals(2, ferry.sources().size());
    Ran steps = Ran.pare(folder, "steps", "--format", "json").exits(0);
    assertEquals("kept", steps.json().get("steps").get(0).get("state").asText());
    Ran.pare(folder, "undo").exits(0);
    assertEquals(before, ferry.sources());
    Ran.pare(folder, "undo").exits(2);
  }

  @Test
  void makesTheFolderOfANewPackageAndTakesItAway() throws IOException {
    Ran.pare(folder, with("--package", "ferry.water", "--pass", "values")).exits(0);
    assertTrue(ferry.sources().containsKey("src/ferry/water/Passage.java"));
    Ran.pare(folder, "undo").exits(0);
    assertEquals(before, ferry.sources());
    assertTrue(Files.notExists(folder.resolve("src/ferry/water")));
  }

  @Test
  void putsEverythingBackWhereATestTurnsRedAndNamesItFirst() throws IOException {
    String red = "<failure message=\"expected: true\">at (SailingTest.java:41)</failure>";
    reporting(
        "if [ -f src/ferry/Passage.java ]; then\n"
            + report(red, "")
            + "exit 1\nelse\n"
            + report("", "")
            + "fi\n");
    Ran applied = Ran.pare(folder, APPLY).exits(4);
    assertTrue(
        applied.out().startsWith("FAILED SailingTest.floats: expected: true"), applied.out());
    assertTrue(applied.out().contains("SailingTest.java:41"), applied.out());
    assertTrue(applied.out().contains("Everything was put back."), applied.out());
    assertEquals(before, ferry.sources());
  }

  @Test
  void tellsTestsThatWereRedBeforeFromThoseThatTheChangeBroke() throws IOException {
    reporting(report("<failure message=\"leap day\"/>", "") + "exit 1\n");
    Ran applied = Ran.pare(folder, APPLY).exits(0);
    assertTrue(applied.out().contains("Red before as well: SailingTest.floats"), applied.out());
  }

  @Test
  void doesNotLetATestVanish() throws IOException {
    reporting(
        "if [ -f src/ferry/Passage.java ]; then\n"
            + report("<skipped/>", "")
            + "else\n"
            + report("", "<testcase classname=\"ferry.FareTest\" name=\"adds\"/>")
            + "fi\n");
    JsonNode answer = Ran.pare(folder, with("--format", "json")).exits(4).json();
    assertEquals("put-back", answer.get("outcome").asText());
    assertEquals(2, answer.get("tests").get("vanished").size());
    assertEquals(before, ferry.sources());
  }

  @Test
  void letsTestsFailThatTheUserNamed() throws IOException {
    reporting(
        "if [ -f src/ferry/Passage.java ]; then\n"
            + report("<failure message=\"on purpose\"/>", "")
            + "exit 1\nelse\n"
            + report("", "")
            + "fi\n");
    Ran.pare(folder, with("--expect-red", "SailingTest.floats")).exits(0);
  }

  private static String[] with(String... more) {
    String[] words = java.util.Arrays.copyOf(APPLY, APPLY.length + more.length);
    System.arraycopy(more, 0, words, APPLY.length, more.length);
    return words;
  }

  @Test
  void overwritesNothingThatIsEditedWhileItWorks() throws IOException {
    ferry.tests("echo '// mine' >> src/ferry/Sailing.java");
    Ran ran = Ran.pare(folder, APPLY).exits(3);
    assertTrue(
        ran.err().startsWith("Refused: src/ferry/Sailing.java was changed by somebody else"),
        ran.err());
    assertEquals(Ferry.SAILING + "// mine\n", ferry.sources().get("src/ferry/Sailing.java"));
    assertEquals(1, ferry.sources().size());
  }

  @Test
  void asksForATestCommandWhereThereIsNone() throws IOException {
    Files.delete(folder.resolve("pare.yaml"));
    Ran ran = Ran.pare(folder, APPLY).exits(3);
    assertTrue(ran.err().contains("test-command:"), ran.err());
    assertEquals(before, ferry.sources());
  }

  @Test
  void appliesOnlyTheChangeThatWasExpected() throws IOException {
    Ran ran = Ran.pare(folder, with("--expect", "000000")).exits(4);
    assertTrue(ran.err().contains("not 000000; nothing was written"), ran.err());
    assertEquals(before, ferry.sources());
    assertFalse(Files.exists(folder.resolve(".pare/steps")));
  }

  @Test
  void putsBackWhatTookTooLongToTest() throws IOException {
    ferry.with("test.sh", "if [ -f src/ferry/Passage.java ]; then sleep 600; fi\n");
    ferry.with("pare.yaml", "test-command: sh test.sh\ntest-timeout: 2s\n");
    Ran ran = Ran.pare(folder, APPLY).exits(4);
    assertTrue(ran.err().contains("more than 2s. Everything was put back."), ran.err());
    assertEquals(before, ferry.sources());
  }

  private Process applyUntilTheTestsRun() throws Exception {
    ferry.tests("if [ -f src/ferry/Passage.java ]; then touch running; exec sleep 60; fi");
    Process process =
        Ran.builder(folder, APPLY)
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve("out.txt").toFile())
            .start();
    for (int i = 0; i < 600 && !Files.exists(folder.resolve("running")); i++) {
      Thread.sleep(50);
    }
    assertTrue(
        Files.exists(folder.resolve("running")), Files.readString(folder.resolve("out.txt")));
    return process;
  }

  private void killWhileTheTestsRun() throws Exception {
    Ran.kill(applyUntilTheTestsRun());
  }

  @Test
  void letsNoSecondWriterInWhileTheTestsRun() throws Exception {
    Process first = applyUntilTheTestsRun();
    Ran second = Ran.pare(folder, "undo").exits(3);
    assertTrue(second.err().contains("Another pare is changing this project"), second.err());
    first.destroy();
    assertTrue(first.waitFor(60, TimeUnit.SECONDS));
  }

  @Test
  void putsEverythingBackWhenItIsInterrupted() throws Exception {
    Process process = applyUntilTheTestsRun();
    process.destroy();
    assertTrue(process.waitFor(60, TimeUnit.SECONDS));
    assertEquals(before, ferry.sources());
    String out = Files.readString(folder.resolve("out.txt"));
    assertTrue(out.contains("Interrupted. Everything was put back."), out);
  }

  @Test
  void reportsAStepThatWasKilledAndPutsItBack() throws Exception {
    killWhileTheTestsRun();
    assertEquals(2, ferry.sources().size());
    Ran survey = Ran.pare(folder, "survey").exits(0);
    assertTrue(survey.err().contains("Step 1"), survey.err());
    assertTrue(survey.err().contains("was cut off before it was verified"), survey.err());
    assertTrue(Ran.pare(folder, "undo").exits(0).out().contains("Step 1 taken back"));
    assertEquals(before, ferry.sources());
  }

  @Test
  void putsAKilledStepBackBeforeItWritesAnother() throws Exception {
    killWhileTheTestsRun();
    ferry.tests("exit 0");
    Ran again = Ran.pare(folder, APPLY).exits(0);
    assertTrue(again.err().contains("Step 1 was put back."), again.err());
    assertTrue(again.out().contains("Step 2 kept"), again.out());
    Ran.pare(folder, "undo").exits(0);
    assertEquals(before, ferry.sources());
  }

  @Test
  void saysWhichFileOfAKilledStepWasEditedAndStays() throws Exception {
    killWhileTheTestsRun();
    String edited = "package ferry; final class Passage { }\n";
    ferry.with("src/ferry/Passage.java", edited);
    Ran undo = Ran.pare(folder, "undo").exits(0);
    assertTrue(undo.out().contains("Step 1 taken back, but what was edited since:"), undo.out());
    assertTrue(undo.out().contains("  src/ferry/Passage.java\n"), undo.out());
    Map<String, String> after = new TreeMap<>(before);
    after.put("src/ferry/Passage.java", edited);
    assertEquals(after, ferry.sources());
  }

  @Test
  void saysWhichFileStaysBeforeItWritesAnother() throws Exception {
    killWhileTheTestsRun();
    ferry.with("src/ferry/Passage.java", "package ferry; final class Passage { }\n");
    Ran again = Ran.pare(folder, APPLY);
    assertTrue(again.err().contains("Step 1 was put back."), again.err());
    assertTrue(
        again.err().contains("Edited since, left alone: src/ferry/Passage.java"), again.err());
  }

  @Test
  void refusesToUndoWhatWasEditedSince() throws IOException {
    Ran.pare(folder, APPLY).exits(0);
    ferry.with("src/ferry/Passage.java", "package ferry; final class Passage { }\n");
    Map<String, String> edited = ferry.sources();
    Ran undo = Ran.pare(folder, "undo").exits(3);
    assertTrue(
        undo.err().contains("src/ferry/Passage.java is not as the step left it"), undo.err());
    assertEquals(edited, ferry.sources());
  }

  @Test
  void takesNothingBackOnABranchThatDoesNotHaveTheStep() throws IOException {
    Map<String, String> before = ferry.sources();
    Ran.pare(folder, APPLY).exits(0);
    Map<String, String> after = ferry.sources();
    Files.delete(folder.resolve("src/ferry/Passage.java"));
    ferry.with("src/ferry/Sailing.java", Ferry.SAILING);
    Ran undo = Ran.pare(folder, "undo").exits(3);
    String both = "src/ferry/Passage.java and src/ferry/Sailing.java are not as the step left them";
    assertTrue(undo.err().contains(both), undo.err());
    assertTrue(undo.err().contains("another branch"), undo.err());
    assertEquals(before, ferry.sources());
    for (Map.Entry<String, String> file : after.entrySet()) {
      ferry.with(file.getKey(), file.getValue());
    }
    Ran.pare(folder, "undo").exits(0);
    assertEquals(before, ferry.sources());
  }

  @Test
  void extractsWithinTheClassUnderTheNamesThatWereChosen() throws IOException {
    String[] extract =
        ("extract class Sailing --fields taken --methods take --name Places"
                + " --delegate none --nested --held-as seats --pass-in setter")
            .split(" ");
    Ran preview = Ran.pare(folder, extract).exits(0);
    assertTrue(preview.out().contains("the method Sailing#take() goes"), preview.out());
    assertTrue(preview.out().contains("Next: pare " + String.join(" ", extract)), preview.out());
    Ran.pare(folder, (String.join(" ", extract) + " --apply").split(" ")).exits(0);
    String sailing = ferry.sources().get("src/ferry/Sailing.java");
    assertTrue(sailing.contains("private Places seats = new Places();"), sailing);
    assertTrue(sailing.contains("void seats(Places seats) {"), sailing);
    assertTrue(sailing.contains("  static final class Places {"), sailing);
    Ran.pare(folder, "undo").exits(0);
    assertEquals(Ferry.SAILING, ferry.sources().get("src/ferry/Sailing.java"));
  }

  @Test
  void saysWhatCanBeOverruled() {
    String extract = "extract class Sailing --fields taken --name Places --accept serialised";
    Ran ran = Ran.pare(folder, extract.split(" ")).exits(2);
    assertTrue(ran.err().contains("--accept serialised is not something"), ran.err());
    assertTrue(ran.err().contains("Did you mean serialized?"), ran.err());
  }

  @Test
  void asksForAnotherRemedyWhereNoneIsMeant() throws IOException {
    ferry.with("src/ferry/Berth.java", BERTH);
    String id = Ran.pare(folder, "survey", "--format", "json").json().at("/findings/0/id").asText();
    Ran mend = Ran.pare(folder, "mend", id + ".zz").exits(2);
    assertTrue(mend.err().contains("There is no remedy " + id + ".zz."), mend.err());
    assertTrue(mend.err().contains("pare why " + id + " shows what can be done."), mend.err());
    Ran taken = Ran.pare(folder, "mend", id, "--name", "Sailing").exits(3);
    assertTrue(taken.err().contains("The name Sailing is already used"), taken.err());
  }

  @Test
  void mendsAFindingByTheIdOfItsRemedy() throws IOException {
    ferry.with("src/ferry/Berth.java", BERTH);
    before = ferry.sources();
    JsonNode survey = Ran.pare(folder, "survey", "--format", "json").exits(0).json();
    JsonNode finding = survey.get("findings").get(0);
    assertEquals("data-clump", finding.get("smell").asText());
    String id = finding.get("id").asText();
    Ran why = Ran.pare(folder, "why", id).exits(0);
    assertTrue(why.out().startsWith("depth, length and height of Berth are one thing"), why.out());
    String remedy =
        Ran.pare(folder, "why", id, "--format", "json")
            .exits(0)
            .json()
            .at("/remedies/0/id")
            .asText();
    Ran.pare(folder, "mend", remedy, "--name", "Box", "--apply").exits(0);
    Ran.pare(folder, "survey", "--fail-at", "30").exits(0);
    Ran.pare(folder, "undo").exits(0);
    assertEquals(before, ferry.sources());
    assertTrue(Ran.pare(folder, "survey", "--fail-at", "30").exits(1).out().contains(id));
  }
}
