package paredown.history;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import org.eclipse.jgit.api.Git;
import org.eclipse.jgit.lib.PersonIdent;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class GitHistoryTest {
  private static final PersonIdent CLERK = new PersonIdent("Clerk", "clerk@ferry.invalid");
  private static final String BERTH =
      """
      class Berth {
        int depth = 1;

        int twice() {
          return depth * 2;
        }

        void close() {
          depth = 0;
        }
      }
      """;
  @TempDir Path folder;
  private Git git;

  @BeforeEach
  void begin() throws Exception {
    git = Git.init().setDirectory(folder.toFile()).call();
    commit("begin", "Berth.java", BERTH);
  }

  @AfterEach
  void close() {
    git.close();
  }

  private void commit(String subject, String file, String text) throws Exception {
    Files.createDirectories(folder.resolve(file).getParent());
    Files.writeString(folder.resolve(file), text);
    commit(subject);
  }

  private void commit(String subject) throws Exception {
    git.add().addFilepattern(".").call();
    git.add().setUpdate(true).addFilepattern(".").call();
    git.commit().setMessage(subject).setAuthor(CLERK).setCommitter(CLERK).setSign(false).call();
  }

  @Test
  void tellsWhetherAFolderIsTracked() throws Exception {
    commit("more", "yard/src/Crane.java", "class Crane {}");
    try (GitHistory whole = GitHistory.at(folder).orElseThrow();
        GitHistory part = GitHistory.at(folder.resolve("yard")).orElseThrow()) {
      assertTrue(whole.tracks("yard"));
      assertTrue(part.tracks("src"));
      assertFalse(whole.tracks("src"));
      assertFalse(whole.tracks("yar"));
    }
  }

  private History read(Path at, int most) {
    try (GitHistory history = GitHistory.at(at).orElseThrow()) {
      return history.read(most, new java.util.concurrent.atomic.AtomicInteger());
    }
  }

  private List<List<String>> members() {
    return read(folder, 500).commits().stream()
        .map(commit -> commit.touched().get(0).members())
        .toList();
  }

  @Test
  void mapsChangedLinesToTheMembersThatHoldThem() throws Exception {
    commit("one", "Berth.java", BERTH.replace("depth * 2", "depth * 3"));
    commit("two", "Berth.java", BERTH.replace("depth * 2", "depth * 3").replace("= 1", "= 4"));
    assertEquals(List.of(List.of("Berth#depth"), List.of("Berth#twice")), members());
  }

  @Test
  void findsMembersThatWereAddedAndTakenAway() throws Exception {
    String more =
        BERTH.replace("  void close", "  void open() {\n    depth = 9;\n  }\n\n  void close");
    commit("one", "Berth.java", more);
    commit("two", "Berth.java", BERTH);
    assertEquals(List.of(List.of("Berth#open"), List.of("Berth#open")), members());
  }

  @Test
  void passesOverWhiteSpaceAndLineEnds() throws Exception {
    commit("one", "Berth.java", BERTH.replace("\n", "\r\n").replace("    ", "\t\t"));
    assertEquals(List.of(), read(folder, 500).commits());
  }

  @Test
  void followsRenamedFiles() throws Exception {
    commit("one", "Berth.java", BERTH.replace("depth * 2", "depth * 3"));
    Files.createDirectories(folder.resolve("quay"));
    Files.move(folder.resolve("Berth.java"), folder.resolve("quay/Berth.java"));
    commit("two");
    History history = read(folder, 500);
    assertEquals("quay/Berth.java", history.commits().get(0).touched().get(0).file());
    assertEquals("one", history.commits().get(0).subject());
  }

  @Test
  void passesOverMassEditsAndLooksAtNoMoreThanItIsAskedFor() throws Exception {
    for (int i = 0; i <= GitHistory.MASS; i++) {
      Files.writeString(folder.resolve("File" + i + ".java"), "class File" + i + " { int a; }\n");
    }
    commit("many");
    for (int i = 0; i <= GitHistory.MASS; i++) {
      Files.writeString(folder.resolve("File" + i + ".java"), "class File" + i + " { int b; }\n");
    }
    commit("mass");
    assertEquals(List.of(), read(folder, 500).commits());
    commit("one", "Berth.java", BERTH.replace("depth * 2", "depth * 3"));
    commit("two", "Berth.java", BERTH.replace("depth * 2", "depth * 4"));
    assertEquals(1, read(folder, 1).commits().size());
  }

  @Test
  void readsAProjectInAFolderOfTheRepository() throws Exception {
    commit("one", "line/Berth.java", BERTH);
    commit("two", "line/Berth.java", BERTH.replace("depth * 2", "depth * 3"));
    History history = read(folder.resolve("line"), 500);
    assertEquals("Berth.java", history.commits().get(0).touched().get(0).file());
    assertEquals(1, history.commits().size());
  }

  @Test
  void saysNothingWithoutARepository(@TempDir Path elsewhere) {
    assertTrue(GitHistory.at(elsewhere).isEmpty());
  }

  @Test
  void canBeWrittenDownAndReadAgain() throws Exception {
    commit("one", "Berth.java", BERTH.replace("depth * 2", "depth * 3"));
    commit("two", "notes.txt", "tides\n");
    commit("three: more", "notes.txt", "more tides\n");
    History history = read(folder, 500);
    assertEquals(history, History.read(history.written()).orElseThrow());
    assertEquals(2, history.commits().size());
    String half = history.written().substring(0, 20);
    assertTrue(History.read(half).isEmpty());
  }

  @Test
  void tellsWhichFilesDifferFromARevision() throws Exception {
    commit("one", "Other.java", "class Other {}\n");
    Files.writeString(folder.resolve("Berth.java"), BERTH.replace("2", "3"));
    try (GitHistory history = GitHistory.at(folder).orElseThrow()) {
      assertEquals(Set.of("Berth.java"), history.changedSince("HEAD").orElseThrow());
      assertEquals(
          Set.of("Berth.java", "Other.java"), history.changedSince("HEAD~1").orElseThrow());
      assertTrue(history.changedSince("no-such").isEmpty());
    }
  }
}
