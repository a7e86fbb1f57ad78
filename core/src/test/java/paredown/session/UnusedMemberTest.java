package paredown.session;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.project.Progress;
import paredown.smell.Finding;
import paredown.smell.Smell;

class UnusedMemberTest {
  @TempDir Path folder;

  private List<String> unused(String desk, String trial) {
    Path root =
        new Fixture(folder)
            .with("src/main/java/Desk.java", desk)
            .with("src/test/java/Trial.java", trial)
            .root();
    return Session.open(root, Progress.silent()).survey().findings().stream()
        .filter(finding -> finding.smell() == Smell.UNUSED_MEMBER)
        .map(Finding::summary)
        .toList();
  }

  @Test
  void saysWhereOnlyTestsUseAMember() {
    assertEquals(
        List.of("only tests use seen"),
        unused(
            "public class Desk { int seen() { return 1; } }",
            "class Trial { int n = new Desk().seen(); }"));
  }

  @Test
  void saysThatNothingUsesWhatSomeTestsUse() {
    assertEquals(
        List.of("nothing uses idle and seen"),
        unused(
            "public class Desk { int idle; int seen() { return 1; } }",
            "class Trial { int n = new Desk().seen(); }"));
  }
}
