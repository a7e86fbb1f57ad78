package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.eclipse.jgit.api.Git;
import org.eclipse.jgit.api.errors.GitAPIException;
import org.eclipse.jgit.revwalk.RevCommit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Steps written to a file, and done again from it. */
class CarryTest {
  private static final String STEPS =
      """
      # A sailing knows its passage
      extract class Sailing --fields departs,arrives --name Passage
      rename Passage --name Crossing

      pare extract variable 'Sailing:{passage.arrives() - passage.departs()}' --name minutes
      """;

  @TempDir Path folder;
  private Path here;
  private Path there;

  @BeforeEach
  void layOut() throws IOException {
    here = Files.createDirectories(folder.resolve("here"));
    there = Files.createDirectories(folder.resolve("there"));
    Ferry.in(here).with("reports/.keep", "");
    Ferry.in(there);
  }

  private Path file(String text) throws IOException {
    return Files.writeString(folder.resolve("ferry.steps"), text);
  }

  private Ran carry(Path project, Path file, String... options) {
    List<String> words = new ArrayList<>(List.of("carry", file.toString()));
    words.addAll(List.of(options));
    return Ran.pare(project, words.toArray(String[]::new));
  }

  @Test
  void stepsWrittenToAFileGiveTheSameBytesElsewhere() throws IOException {
    Ran.pare(
            here,
            "extract",
            "method",
            "src/ferry/Sailing.java:15",
            "--name",
            "minutes",
            "--apply",
            "--untested")
        .exits(0);
    Ran.pare(here, "rename", "Sailing#taken", "--name", "sold", "--apply", "--untested").exits(0);
    String steps = Ran.pare(here, "steps", "--as-file").exits(0).out();
    assertTrue(steps.contains("'src/ferry/Sailing.java:{return arrives - departs;}'"), steps);
    assertTrue(!steps.contains(":15"), steps);

    carry(there, file(steps), "--apply", "--untested").exits(0);

    assertEquals(Ferry.in(here).sources(), Ferry.in(there).sources());
  }

  @Test
  void previewsAllStepsAsOneChangeAndWritesNothing() throws IOException {
    Ran ran = carry(here, file(STEPS)).exits(0);

    assertTrue(ran.out().startsWith("  1  extract class Sailing"), ran.out());
    assertTrue(ran.out().contains("+++ b/src/ferry/Crossing.java"), ran.out());
    assertTrue(ran.out().contains("int minutes = passage.arrives() - passage.departs();"));
    assertTrue(ran.out().contains("Next: pare carry "), ran.out());
    assertEquals(Ferry.SAILING, Files.readString(here.resolve("src/ferry/Sailing.java")));
    JsonNode json = carry(here, file(STEPS), "--format", "json").exits(0).json();
    assertEquals("previewed", json.get("outcome").asText());
  }

  @Test
  void testsAtTheEndOfAGroupMakeOneStepOfIt() throws IOException {
    JsonNode json =
        carry(here, file(STEPS), "--apply", "--untested", "--test", "end", "--format", "json")
            .exits(0)
            .json();

    assertEquals("kept", json.get("outcome").asText());
    assertEquals(2, json.get("steps").size());
    Ran.pare(here, "undo", "2").exits(0);
    assertEquals(Ferry.SAILING, Files.readString(here.resolve("src/ferry/Sailing.java")));
  }

  @Test
  void eachGroupBecomesACommit() throws IOException, GitAPIException {
    try (Git git = Git.init().setDirectory(here.toFile()).call()) {
      git.getRepository().getConfig().setString("user", null, "name", "Ferry");
      git.getRepository().getConfig().setString("user", null, "email", "desk@ferry.example");
      git.getRepository().getConfig().save();
      git.add().addFilepattern(".").call();
      git.commit().setMessage("begin").setSign(false).call();

      Ran ran = carry(here, file(STEPS), "--apply", "--untested", "--commit").exits(0);

      assertTrue(ran.out().contains("A sailing knows its passage"), ran.out());
      List<String> messages = new ArrayList<>();
      for (RevCommit commit : git.log().call()) {
        messages.add(commit.getShortMessage());
      }
      assertEquals(
          List.of(
              "minutes holds passage.arrives() - passage.departs().",
              "A sailing knows its passage",
              "begin"),
          messages);
      assertTrue(git.status().call().getUncommittedChanges().isEmpty());

      Files.writeString(here.resolve("src/ferry/Sailing.java"), "class Sailing {}\n");
      Ran refused = carry(here, file(STEPS), "--apply", "--untested", "--commit").exits(2);
      assertTrue(refused.err().contains("not clean: src/ferry/Sailing.java"), refused.err());
    }
  }

  @Test
  void aStepThatCannotBeDoneIsNamedWithItsLineAndTheWayOn() throws IOException {
    Path file = file("rename Sailing#taken --name sold\nrename Sailing#nobody --name one\n");

    Ran ran = carry(here, file, "--apply", "--untested").exits(2);

    assertTrue(ran.err().contains("Step 2, in line 2 of "), ran.err());
    assertTrue(ran.err().contains("1 step is kept."), ran.err());
    assertTrue(ran.err().contains("--from 2"), ran.err());
    assertTrue(Files.readString(here.resolve("src/ferry/Sailing.java")).contains("sold++"));
  }

  @Test
  void aLineThatChangesNoCodeIsNoStep() throws IOException {
    Ran ran = carry(here, file("survey\n"), "--apply").exits(2);

    assertTrue(ran.err().contains("This is no command that changes code: survey"), ran.err());
    assertTrue(carry(here, file("# nothing\n")).exits(2).err().contains("There is no step to do"));
    assertTrue(
        carry(here, file("rename 'Sailing --name X\n")).exits(2).err().contains("never closed"));
  }

  @Test
  void aQuoteThatStandsTwiceIsSaid() throws IOException {
    Path file = file("extract variable 'Sailing:{departs}' --name when\n");

    Ran ran = carry(here, file).exits(2);

    assertTrue(ran.err().contains("more than once, in lines 5 and 9"), ran.err());
    assertTrue(ran.err().contains("Quote more of it, or say which is meant: #1"), ran.err());
  }
}
