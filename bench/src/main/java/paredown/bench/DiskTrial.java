package paredown.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import paredown.edit.Change;
import paredown.project.Fingerprint;
import paredown.project.Progress;
import paredown.refactor.Refactoring;
import paredown.session.Applied;
import paredown.session.ApplyOptions;
import paredown.session.Preview;
import paredown.session.Session;

/** Does a change on a copy of a library on disk, with its whole tests, and takes it back. */
final class DiskTrial {
  private final Path library;
  private final Path copy;

  DiskTrial(Path library, Path copy) {
    this.library = library;
    this.copy = copy;
  }

  /** What went wrong; empty where the tests stayed as they were and undo restored every byte. */
  synchronized String attempt(Refactoring operation, Change planned) {
    try {
      if (Files.notExists(copy)) {
        FolderCopy.of(library, copy);
      }
      Map<String, String> before = bytes();
      Session session = Session.open(copy, Progress.silent());
      Preview preview = session.preview(operation);
      if (!preview.change().id().equals(planned.id())) {
        return "undo: the copy is not what the library is";
      }
      Applied applied =
          session.apply(preview, new ApplyOptions(Optional.empty(), false, List.of()));
      if (!applied.kept()) {
        return "tests: " + said(applied);
      }
      Session.open(copy, Progress.silent()).taken().undo(1);
      return before.equals(bytes()) ? "" : "undo: bytes differ";
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return "interrupted";
    }
  }

  private static String said(Applied applied) {
    return applied
        .tests()
        .map(tests -> tests.comparison().broken() + " " + tests.comparison().vanished())
        .orElse("nothing said");
  }

  /** The sources of the copy, by their paths. */
  private Map<String, String> bytes() throws IOException {
    Map<String, String> found = new TreeMap<>();
    Files.walkFileTree(
        copy.resolve("src"),
        new SimpleFileVisitor<>() {
          @Override
          public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
            found.put(copy.relativize(file).toString(), new Fingerprint().add(file).hex(16));
            return FileVisitResult.CONTINUE;
          }
        });
    return found;
  }
}
