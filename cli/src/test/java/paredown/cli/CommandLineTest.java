package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CommandLineTest {
  @TempDir Path folder;
  private Ferry ferry;

  @BeforeEach
  void layOut() throws IOException {
    ferry = Ferry.in(folder);
  }

  @Test
  void tellsItsVersion() {
    assertTrue(Ran.pare(folder, "--version").exits(0).out().matches("pare \\d+\\.\\d+\\.\\d+\\R"));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "survey",
        "why",
        "mend",
        "extract",
        "extract class",
        "extract method",
        "move class",
        "accept",
        "undo",
        "demo"
      })
  void showsAnExampleInEveryHelp(String command) {
    String[] words = (command + " --help").strip().split(" ");
    String help = Ran.pare(folder, words).exits(0).out();
    assertTrue(help.contains("\nExample"), help);
    assertFalse(help.contains("\033["), "no colours into a pipe");
  }

  @Test
  void suggestsTheCommandThatWasMeant() {
    Ran ran = Ran.pare(folder, "survy").exits(2);
    assertTrue(ran.err().contains("Did you mean") && ran.err().contains("survey"), ran.err());
  }

  @Test
  void givesTheExampleOfAnOperationThatIsDoneToNothing() {
    String err = Ran.pare(folder, "inline", "method").exits(2).err();
    assertTrue(err.contains("pare inline method needs TYPE#METHOD."), err);
    assertTrue(err.contains("For example: pare inline method "), err);
    err = Ran.pare(folder, "move", "method").exits(2).err();
    assertTrue(err.contains("For example: pare move method "), err);
  }

  @Test
  void isFriendlyWhereThereIsNothingToFind() {
    String out = Ran.pare(folder, "survey").exits(0).out();
    assertTrue(out.contains("1 type, 3 methods in 1 file"), out);
    assertTrue(out.contains("Nothing stands out."), out);
    assertTrue(out.strip().lines().reduce("", (a, b) -> b).startsWith("Next: pare"), out);
  }

  @Test
  void answersInJsonThatFitsItsSchema() {
    JsonNode survey = Ran.pare(folder, "survey", "--format", "json").exits(0).json();
    assertEquals(1, survey.get("counts").get("files").asInt());
    JsonNode error = Ran.pare(folder, "why", "god-000000", "--format", "json").exits(2).json();
    assertEquals("unusable", error.get("kind").asText());
    assertTrue(Ran.pare(folder, "steps", "--format=json").exits(0).json().get("steps").isEmpty());
  }

  @Test
  void answersEveryStepOfTheLoopInJson() {
    String extract = "extract class Sailing --fields departs,arrives --name Passage --format json";
    JsonNode preview = Ran.pare(folder, extract.split(" ")).exits(0).json();
    assertEquals("previewed", preview.get("outcome").asText());
    assertTrue(preview.get("gates").get("passed").asBoolean());
    String expect = " --expect " + preview.get("change").asText() + " --apply";
    JsonNode kept = Ran.pare(folder, (extract + expect).split(" ")).exits(0).json();
    assertEquals("kept", kept.get("outcome").asText());
    assertEquals(
        1, Ran.pare(folder, "test", "--format", "json").exits(0).json().get("passed").asInt());
    JsonNode undone = Ran.pare(folder, "undo", "--format", "json").exits(0).json();
    assertEquals("1", undone.get("undone").get(0).asText());
  }

  @Test
  void writesTheAnswerIntoAFileWhereAsked() throws IOException {
    Ran.pare(folder, "survey", "--format", "json", "--out", "findings.json").exits(0);
    assertTrue(Files.readString(folder.resolve("findings.json")).contains("pare-findings/1"));
  }

  @Test
  void tellsTheStateOfTheProjectWhenItIsCalledAlone() {
    String out = Ran.pare(folder).exits(0).out();
    assertTrue(out.contains("Nothing stands out.") && out.contains("Next: pare"), out);
  }

  @Test
  void saysSoWhereThereIsNoJava(@TempDir Path empty) {
    Ran ran = Ran.pare(empty, "survey").exits(5);
    assertTrue(ran.err().startsWith("There is no Java source in "), ran.err());
    Ran.pare(empty, "survey", "--project", "nowhere").exits(5);
  }

  @Test
  void goesOnWhereAFileDoesNotParse() throws IOException {
    ferry.with("src/ferry/Berth.java", "package ferry;\nclass Berth {\n  int depth\n}\n");
    String out = Ran.pare(folder, "survey").exits(0).out();
    assertTrue(out.contains("src/ferry/Berth.java:3 does not parse"), out);
    assertTrue(out.contains("in 2 files"), out);
  }

  @Test
  void countsNamesThatCannotBeResolvedAndSaysWhy() throws IOException {
    ferry.with("src/ferry/Berth.java", "package ferry;\nclass Berth { Missing m; Gone g; }\n");
    String out = Ran.pare(folder, "survey").exits(0).out();
    assertTrue(out.contains("2 names cannot be resolved, the first at"), out);
  }

  @Test
  void namesTheKeyAndTheLineOfAWrongSetting() throws IOException {
    ferry.with("pare.yaml", "test-command: sh test.sh\ntest-comand: x\n");
    Ran ran = Ran.pare(folder, "survey").exits(5);
    assertTrue(ran.err().startsWith("pare.yaml:2: test-comand:"), ran.err());
    assertTrue(ran.err().contains("Did you mean test-command"), ran.err());
  }

  @Test
  void previewsADifferenceThatGitApplies() throws Exception {
    ferry.with("src/ferry/Sailing.java", Ferry.SAILING.replace("\n", "\r\n"));
    String[] words = "extract class Sailing --fields departs,arrives --name Passage".split(" ");
    Map<String, String> before = ferry.sources();
    Ran preview = Ran.pare(folder, words).exits(0);
    assertEquals(before, ferry.sources());
    Files.writeString(folder.resolve("change.patch"), preview.out());
    int applied =
        new ProcessBuilder("git", "apply", "--unsafe-paths", "change.patch")
            .directory(folder.toFile())
            .inheritIO()
            .start()
            .waitFor();
    assertEquals(0, applied);
    Map<String, String> patched = ferry.sources();
    ferry.with("src/ferry/Sailing.java", before.get("src/ferry/Sailing.java"));
    Files.delete(folder.resolve("src/ferry/Passage.java"));
    String[] apply = (String.join(" ", words) + " --apply").split(" ");
    Ran.pare(folder, apply).exits(0);
    assertEquals(ferry.sources(), patched);
  }

  @Test
  void endsAPreviewWithTheCommandThatAppliesJustThisChange() {
    String[] words = "extract class Sailing --fields departs,arrives --name Passage".split(" ");
    String out = Ran.pare(folder, words).exits(0).out();
    String last = out.strip().lines().reduce("", (a, b) -> b);
    assertTrue(
        last.matches(
            "Nothing is written yet. Next: pare extract class Sailing --fields departs,arrives"
                + " --name Passage --expect [0-9a-f]{6} --apply"),
        last);
    String[] apply = last.substring(last.indexOf("pare ") + 5).split(" ");
    assertTrue(Ran.pare(folder, apply).exits(0).out().contains("Step 1 kept"));
  }

  @Test
  void refusesWithThePlaceAndTheReason() {
    Ran ran =
        Ran.pare(
                folder,
                "extract class Sailing --fields taken --methods crossing --name Places".split(" "))
            .exits(3);
    assertTrue(ran.err().startsWith("Refused: crossing() cannot be moved: "), ran.err());
    assertTrue(ran.err().contains("src/ferry/Sailing.java:15"), ran.err());
    JsonNode json =
        Ran.pare(
                folder,
                "extract class Sailing --fields taken --methods crossing --name P --format json"
                    .split(" "))
            .exits(3)
            .json();
    assertEquals("needs-owner", json.get("kind").asText());
    assertEquals("not-yet", json.get("mark").asText());
  }

  @Test
  void keepsTheApiWhereAsked() throws IOException {
    ferry.with(
        "src/ferry/Open.java",
        "package ferry;\npublic class Open {\n  public int a;\n  int b;\n}\n");
    String extract = "extract class Open --fields a --name Part";
    String preview = Ran.pare(folder, extract.split(" ")).exits(0).out();
    assertTrue(preview.contains("API:          the field Open#a goes"), preview);
    Ran ran = Ran.pare(folder, (extract + " --keep-api --apply").split(" ")).exits(3);
    assertTrue(ran.err().startsWith("Refused: The API would change: the field Open#a"), ran.err());
  }

  @Test
  void showsWhereAnErrorComesFromOnlyWhenAsked() throws Exception {
    Process process =
        Ran.builder(folder, "why", "god-000000", "--trace").redirectErrorStream(true).start();
    String out = new String(process.getInputStream().readAllBytes());
    assertTrue(out.contains("\tat paredown."), out);
  }

  @Test
  void saysSoWhereJavaHasNoCompiler() throws Exception {
    ProcessBuilder builder = Ran.builder(folder, "survey");
    builder.command().addAll(1, java.util.List.of("--limit-modules", "java.se"));
    Process process = builder.redirectErrorStream(true).start();
    String out = new String(process.getInputStream().readAllBytes());
    assertEquals(5, process.waitFor(), out);
    assertTrue(out.startsWith("This Java has no compiler, so it is a JRE and not a JDK."), out);
    assertEquals(2, out.lines().count(), out);
  }
}
