package paredown.journal;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.text.SourceText;

class JournalTest {
  @TempDir Path root;
  private Journal journal;

  @BeforeEach
  void layOut() throws IOException {
    layOut(root);
    journal = new Journal(root, new RealDisk());
  }

  /** The files that the changes below are made for. */
  static void layOut(Path root) throws IOException {
    Files.createDirectories(root.resolve("src"));
    Files.writeString(root.resolve("src/Sailing.java"), "class Sailing { }\n");
    Files.writeString(root.resolve("src/Berth.java"), "class Berth { }\r\n");
    Files.writeString(root.resolve("src/Quay.java"), "class Quay { }\n");
    Files.writeString(root.resolve("src/Slip.java"), "class Slip { }\n");
  }

  private static SourceText text(String path, String content) {
    return new SourceText(path, content, StandardCharsets.UTF_8);
  }

  private static ChangedFile edit(String path, String before, String after) {
    return new ChangedFile(
        path,
        Optional.ofNullable(before).map(content -> text(path, content)),
        text(path, after),
        List.of(),
        List.of(),
        List.of(),
        List.of());
  }

  /** Two files are edited, one is created, one gets another name, and one goes. */
  static Change change() {
    return new Change(
        "A change.",
        List.of(
            edit("src/Sailing.java", "class Sailing { }\n", "class Sailing { int taken; }\n"),
            edit("src/Berth.java", "class Berth { }\r\n", "class Berth { int depth; }\r\n"),
            edit("src/Passage.java", null, "class Passage { }\n"),
            edit("src/Quay.java", "class Quay { }\n", "class Pier { }\n").at("src/Pier.java"),
            edit("src/Slip.java", "class Slip { }\n", "")),
        Map.of(),
        Map.of(),
        Set.of(),
        new Change.Report(List.of(), List.of(), List.of(), List.of()));
  }

  /** A change of a dozen files and one, of which three are new, in several folders. */
  static Change wideChange() {
    List<ChangedFile> files = new ArrayList<>();
    for (int i = 0; i < 10; i++) {
      String path = "src/pier" + i % 3 + "/Berth" + i + ".java";
      files.add(edit(path, "class Berth" + i + " { }\n", "class Berth" + i + " { int depth; }\n"));
    }
    files.add(edit("src/pier0/Depth.java", null, "class Depth { }\n"));
    files.add(edit("src/pier1/Tide.java", null, "class Tide { }\n"));
    files.add(edit("src/pier9/deep/Slip.java", null, "class Slip { }\n"));
    return new Change(
        "A wide change.",
        files,
        Map.of(),
        Map.of(),
        Set.of(),
        new Change.Report(List.of(), List.of(), List.of(), List.of()));
  }

  static Map<String, String> contents(Path root) throws IOException {
    Map<String, String> found = new TreeMap<>();
    try (Stream<Path> files = Files.walk(root.resolve("src"))) {
      for (Path file : files.skip(1).toList()) {
        boolean folder = Files.isDirectory(file);
        found.put(root.relativize(file).toString(), folder ? "" : Files.readString(file));
      }
    }
    return found;
  }

  @Test
  void writesAllFilesAndTakesThemBackToTheByte() throws IOException {
    Map<String, String> before = contents(root);
    Step step = journal.verify(journal.write(change(), "pare extract class"));
    assertEquals("class Berth { int depth; }\r\n", contents(root).get("src/Berth.java"));
    assertEquals(
        Set.of("src/Berth.java", "src/Passage.java", "src/Pier.java", "src/Sailing.java"),
        contents(root).keySet());
    assertEquals(Optional.of(step), journal.last());
    journal.undo(step);
    assertEquals(before, contents(root));
    assertEquals(StepState.UNDONE, journal.steps().get(0).state());
    assertEquals(Optional.empty(), journal.last());
  }

  /** A build would take what it made of the change for what comes of the older file. */
  @Test
  void whatComesBackIsNewerThanAllThatWasBuiltMeanwhile() throws IOException {
    Step step = journal.verify(journal.write(change(), "pare extract class"));
    Path built = Files.writeString(root.resolve("Berth.class"), "built");
    Instant meanwhile = Instant.now();
    Files.setLastModifiedTime(built, FileTime.from(meanwhile));
    journal.undo(step);
    for (String each : List.of("Berth", "Sailing", "Quay", "Slip")) {
      Instant back =
          Files.getLastModifiedTime(root.resolve("src/%s.java".formatted(each))).toInstant();
      assertFalse(back.isBefore(meanwhile.truncatedTo(ChronoUnit.MILLIS)), each);
    }
  }

  @Test
  void givesAFileBackWithItsRightsAndRefusesWhereItsOldPlaceIsTaken() throws IOException {
    Path old = root.resolve("src/Quay.java");
    Set<PosixFilePermission> rights = PosixFilePermissions.fromString("rwxr-x---");
    Files.setPosixFilePermissions(old, rights);
    Step step = journal.verify(journal.write(change(), "pare rename"));
    assertFalse(Files.exists(old));
    assertEquals(rights, Files.getPosixFilePermissions(root.resolve("src/Pier.java")));
    Files.writeString(old, "class Mine { }\n");
    JournalProblem taken = assertThrows(JournalProblem.class, () -> journal.undo(step));
    assertEquals(List.of("src/Quay.java"), taken.places());
    Files.delete(old);
    journal.undo(step);
    assertEquals("class Quay { }\n", Files.readString(old));
    assertEquals(rights, Files.getPosixFilePermissions(old));
  }

  @Test
  void writesNothingWhereANameIsTooLongForAFile() throws IOException {
    Map<String, String> before = contents(root);
    Change change =
        new Change(
            "A change.",
            List.of(edit("src/" + "A".repeat(260) + ".java", null, "class A { }\n")),
            Map.of(),
            Map.of(),
            Set.of(),
            new Change.Report(List.of(), List.of(), List.of(), List.of()));
    JournalProblem tooLong = assertThrows(JournalProblem.class, () -> journal.write(change, "p"));
    assertTrue(tooLong.getMessage().endsWith(" is too long for a file."), tooLong.getMessage());
    assertEquals(before, contents(root));
  }

  @Test
  void makesTheFoldersOfNewFilesAndLeavesThoseThatAreInUseMeanwhile() throws IOException {
    Change change =
        new Change(
            "A change.",
            List.of(edit("src/pier/deep/Slip.java", null, "class Slip { }\n")),
            Map.of(),
            Map.of(),
            Set.of(),
            new Change.Report(List.of(), List.of(), List.of(), List.of()));
    journal.undo(journal.verify(journal.write(change, "first")));
    assertFalse(Files.exists(root.resolve("src/pier")));
    Step step = journal.verify(journal.write(change, "second"));
    Files.writeString(root.resolve("src/pier/Own.java"), "class Own { }\n");
    journal.undo(step);
    assertFalse(Files.exists(root.resolve("src/pier/deep")));
    assertTrue(Files.exists(root.resolve("src/pier/Own.java")));
  }

  @Test
  void numbersStepsInTheirOrder() {
    journal.undo(journal.verify(journal.write(change(), "first")));
    journal.verify(journal.write(change(), "second"));
    assertEquals(List.of("first", "second"), journal.steps().stream().map(Step::command).toList());
    assertEquals(2, journal.last().orElseThrow().number());
  }

  @Test
  void overwritesNothingThatSomebodyElseHasChanged() throws IOException {
    Files.writeString(root.resolve("src/Berth.java"), "class Berth { /* mine */ }\n");
    Map<String, String> before = contents(root);
    JournalProblem problem =
        assertThrows(JournalProblem.class, () -> journal.write(change(), "pare"));
    assertEquals(List.of("src/Berth.java"), problem.places());
    assertEquals(before, contents(root));
    assertTrue(journal.steps().isEmpty());
  }

  @Test
  void createsNothingWhereAFileHasAppeared() throws IOException {
    Files.writeString(root.resolve("src/Passage.java"), "class Passage { /* mine */ }\n");
    assertThrows(JournalProblem.class, () -> journal.write(change(), "pare"));
    assertEquals(
        "class Passage { /* mine */ }\n", Files.readString(root.resolve("src/Passage.java")));
  }

  @Test
  void undoesNothingAtAllWhereOneFileWasEditedSince() throws IOException {
    Step step = journal.verify(journal.write(change(), "pare"));
    Files.writeString(root.resolve("src/Berth.java"), "class Berth { int mine; }\n");
    Map<String, String> before = contents(root);
    JournalProblem problem = assertThrows(JournalProblem.class, () -> journal.undo(step));
    assertEquals(List.of("src/Berth.java"), problem.places());
    assertEquals(before, contents(root));
  }

  @Test
  void leavesAnEditedFileAloneWhenPuttingBackAndNamesItsOriginal() throws IOException {
    Step step = journal.write(change(), "pare");
    Files.writeString(root.resolve("src/Berth.java"), "class Berth { int mine; }\n");
    List<String> edited = journal.putBack(step);
    assertEquals(1, edited.size());
    String original = edited.get(0).replaceAll(".*original is (.*)\\)", "$1");
    assertEquals("class Berth { }\r\n", Files.readString(root.resolve(original)));
    assertEquals("class Berth { int mine; }\n", contents(root).get("src/Berth.java"));
    assertEquals("class Sailing { }\n", contents(root).get("src/Sailing.java"));
    assertFalse(contents(root).containsKey("src/Passage.java"));
  }

  @Test
  void refusesAReadOnlyFile() throws IOException {
    Path berth = root.resolve("src/Berth.java");
    Files.setPosixFilePermissions(berth, PosixFilePermissions.fromString("r--r--r--"));
    assertThrows(JournalProblem.class, () -> journal.write(change(), "pare"));
    assertTrue(journal.steps().isEmpty());
  }

  @Test
  void keepsThePermissionsOfAFile() throws IOException {
    Path berth = root.resolve("src/Berth.java");
    Files.setPosixFilePermissions(berth, PosixFilePermissions.fromString("rwxr-x---"));
    Step step = journal.write(change(), "pare");
    assertEquals("rwxr-x---", PosixFilePermissions.toString(Files.getPosixFilePermissions(berth)));
    journal.putBack(step);
    assertEquals("rwxr-x---", PosixFilePermissions.toString(Files.getPosixFilePermissions(berth)));
  }

  @Test
  void refusesALinkThatLeadsOut(@TempDir Path elsewhere) throws IOException {
    Path outside = elsewhere.resolve("Berth.java");
    Files.writeString(outside, "class Berth { }\r\n");
    Files.delete(root.resolve("src/Berth.java"));
    Files.createSymbolicLink(root.resolve("src/Berth.java"), outside);
    assertThrows(JournalProblem.class, () -> journal.write(change(), "pare"));
    assertEquals("class Berth { }\r\n", Files.readString(outside));
  }

  @Test
  void keepsItsFolderOutOfVersionControl() throws IOException {
    journal.write(change(), "pare");
    assertEquals("*\n", Files.readString(root.resolve(".pare/.gitignore")));
  }

  @Test
  void letsOneWriterInAtATime() {
    try (Lock lock = Lock.take(root)) {
      assertThrows(JournalProblem.class, () -> Lock.take(root));
    }
    Lock.take(root).close();
  }
}
