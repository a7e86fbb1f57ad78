package paredown.journal;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.edit.Change;
import paredown.edit.ChangedFile;

/** Kills the writer at every write, sync, rename and delete, before and after it. */
class CrashTest {
  @TempDir Path folder;
  private Change change = JournalTest.change();

  /** The end of the process, as the journal would meet it. */
  private static final class Killed extends Error {
    private static final long serialVersionUID = 1L;
  }

  /** The machine's disk, without the wait until it has written: only the process is killed here. */
  private static final class QuickDisk extends RealDisk {
    @Override
    public void sync(Path path) {
      assertTrue(Files.exists(path), path + " is synchronised before it is there");
    }
  }

  /** A disk whose process is killed before or after its n-th operation. */
  private static final class MortalDisk implements Disk {
    private final Disk disk = new QuickDisk();
    private final int last;
    private final boolean done;
    private int operations;

    MortalDisk(int last, boolean done) {
      this.last = last;
      this.done = done;
    }

    private interface Operation {
      void run() throws IOException;
    }

    private void count(Operation operation) throws IOException {
      boolean dies = operations++ == last;
      if (dies && !done) {
        throw new Killed();
      }
      operation.run();
      if (dies) {
        throw new Killed();
      }
    }

    @Override
    public void makeFolder(Path path) throws IOException {
      count(() -> disk.makeFolder(path));
    }

    @Override
    public void write(Path file, byte[] content) throws IOException {
      boolean dies = operations == last && !done;
      if (dies && content.length > 1) {
        // A write that is cut off leaves half of the content.
        disk.write(file, java.util.Arrays.copyOf(content, content.length / 2));
      }
      count(() -> disk.write(file, content));
    }

    @Override
    public void sync(Path path) throws IOException {
      count(() -> disk.sync(path));
    }

    @Override
    public void like(Path file, Path next) throws IOException {
      count(() -> disk.like(file, next));
    }

    @Override
    public void rename(Path from, Path to) throws IOException {
      count(() -> disk.rename(from, to));
    }

    @Override
    public void delete(Path file) throws IOException {
      count(() -> disk.delete(file));
    }
  }

  /** What is being done when the process is killed. */
  private interface Work {
    void on(Journal journal);
  }

  private Path layOut(String name) throws IOException {
    Path root = folder.resolve(name);
    for (ChangedFile file : change.files()) {
      Files.createDirectories(root.resolve("src"));
      if (file.before().isPresent()) {
        Path path = root.resolve(file.before().get().path());
        Files.createDirectories(path.getParent());
        Files.writeString(path, file.before().get().text());
      }
    }
    return root;
  }

  private Map<String, String> after(Map<String, String> before, Path root) throws IOException {
    Journal journal = new Journal(root, new QuickDisk());
    Step step = journal.write(change, "pare");
    Map<String, String> after = JournalTest.contents(root);
    journal.putBack(step);
    assertEquals(before, JournalTest.contents(root));
    return after;
  }

  /** Tries every point; tells how many there were. */
  private int killEverywhere(String name, Work prepare, Work work) throws IOException {
    Path sample = layOut(name + "-sample");
    Map<String, String> before = JournalTest.contents(sample);
    Map<String, String> after = after(before, sample);
    int points = 0;
    for (int i = 0; ; i++) {
      for (boolean done : new boolean[] {false, true}) {
        Path root = layOut(name + "-" + i + "-" + done);
        prepare.on(new Journal(root, new QuickDisk()));
        boolean killed = run(new Journal(root, new MortalDisk(i, done)), work);
        if (!killed) {
          delete(root);
          return points;
        }
        points++;
        recover(root);
        Map<String, String> now = JournalTest.contents(root);
        assertTrue(now.equals(before) || now.equals(after), name + " killed at " + i + ": " + now);
        Journal journal = new Journal(root, new QuickDisk());
        assertTrue(journal.open().isEmpty(), name + " killed at " + i + " is still open");
        delete(root);
      }
    }
  }

  private static boolean run(Journal journal, Work work) {
    try {
      work.on(journal);
      return false;
    } catch (Killed killed) {
      return true;
    }
  }

  /** What the next command that writes does first. */
  private static void recover(Path root) {
    Journal journal = new Journal(root, new QuickDisk());
    journal.open().ifPresent(journal::putBack);
  }

  private static void delete(Path root) throws IOException {
    try (Stream<Path> entries = Files.walk(root)) {
      for (Path entry : entries.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(entry);
      }
    }
  }

  @Test
  void anApplyThatIsKilledAnywhereLeavesAllBeforeOrAllAfter() throws IOException {
    int points =
        killEverywhere(
            "apply", journal -> {}, journal -> journal.verify(journal.write(change, "pare")));
    assertTrue(points > 60, points + " points");
  }

  @Test
  void aPutBackThatIsKilledAnywhereLeavesAllBeforeOrAllAfter() throws IOException {
    int points =
        killEverywhere(
            "back",
            journal -> journal.write(change, "pare"),
            journal -> journal.open().ifPresent(journal::putBack));
    assertTrue(points > 20, points + " points");
  }

  @Test
  void anUndoThatIsKilledAnywhereLeavesAllBeforeOrAllAfter() throws IOException {
    int points =
        killEverywhere(
            "undo",
            journal -> journal.verify(journal.write(change, "pare")),
            journal -> journal.last().ifPresent(journal::undo));
    assertTrue(points > 20, points + " points");
  }

  @Test
  void aChangeOfManyFilesThatIsKilledAnywhereLeavesAllBeforeOrAllAfter() throws IOException {
    change = JournalTest.wideChange();
    int points =
        killEverywhere(
            "wide",
            journal -> {},
            journal -> journal.undo(journal.verify(journal.write(change, "pare"))));
    assertTrue(points > 250, points + " points");
  }

  @Test
  void aRecoveryThatIsKilledItselfIsFinishedByTheNext() throws IOException {
    Path root = layOut("twice");
    Map<String, String> before = JournalTest.contents(root);
    run(new Journal(root, new MortalDisk(40, false)), journal -> journal.write(change, "pare"));
    for (int i = 0; i < 30; i++) {
      run(
          new Journal(root, new MortalDisk(i, true)),
          journal -> journal.open().ifPresent(journal::putBack));
    }
    recover(root);
    assertEquals(before, JournalTest.contents(root));
  }
}
