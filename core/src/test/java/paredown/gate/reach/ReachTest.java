package paredown.gate.reach;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.project.Project;
import paredown.text.SourceText;
import paredown.text.TextHash;

class ReachTest {
  private static final String PATH = "src/Quay.java";
  private static final String QUAY =
      """
      class Quay {
        int length;
        int room() {
          return length - 2;
        }
        int depth() {
          return 7;
        }
      }
      """;

  @TempDir Path folder;

  private static Reach reach(String text) {
    return new Reach(
        Map.of(
            PATH,
            new Reach.ReachedFile(
                TextHash.of(text),
                List.of(
                    new Reach.Reached("Quay#room()", 4, 4, Set.of("QuayTest", "BerthTest")),
                    new Reach.Reached("Quay#depth()", 7, 7, Set.of())))));
  }

  private static Optional<ReachOfChange> of(Reach reach, String after) {
    Change change =
        new Change(
            "a change made by hand",
            List.of(ChangedFile.judged(PATH, Optional.of(text(QUAY)), text(after))),
            Map.of(),
            Map.of(),
            Set.of(PATH),
            new Change.Report(List.of(), List.of(), List.of(), List.of()));
    return ReachOfChange.of(reach, change);
  }

  private static SourceText text(String text) {
    return new SourceText(PATH, text, StandardCharsets.UTF_8);
  }

  @Test
  void saysWhichTestsRunTheCodeThatChanges() {
    assertEquals(
        Optional.of(new ReachOfChange(Set.of("BerthTest", "QuayTest"), List.of(), List.of())),
        of(reach(QUAY), QUAY.replace("length - 2", "length - 3")));
  }

  @Test
  void saysWhatNoTestRuns() {
    assertEquals(
        Optional.of(new ReachOfChange(Set.of(), List.of("Quay#depth()"), List.of())),
        of(reach(QUAY), QUAY.replace("return 7", "return 8")));
  }

  @Test
  void saysNothingWhereOnlyDeclarationsChange() {
    assertEquals(Optional.empty(), of(reach(QUAY), QUAY.replace("int length", "long length")));
  }

  @Test
  void knowsNothingOfAFileThatHasChangedSince() {
    assertEquals(
        Optional.of(new ReachOfChange(Set.of(), List.of(), List.of(PATH))),
        of(reach(QUAY + "// then"), QUAY.replace("return 7", "return 8")));
  }

  @Test
  void isKeptForTheNextTime() {
    Project project = new Fixture(folder).with(PATH, QUAY).sources().project();
    assertEquals(Optional.empty(), Reach.read(project));
    reach(QUAY).write(project);
    assertEquals(Optional.of(reach(QUAY)), Reach.read(project));
  }
}
