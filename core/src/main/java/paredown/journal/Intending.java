package paredown.journal;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.project.Fingerprint;
import paredown.project.Workspace;

/** Intending writes down what a step is to do, with all originals, before anything is done. */
final class Intending {
  private final Path root;
  private final StepFolders folders;
  private final Disk disk;

  Intending(Path root, StepFolders folders, Disk disk) {
    this.root = root;
    this.folders = folders;
    this.disk = disk;
  }

  Step intend(Change change, String command) throws IOException {
    Path steps = Workspace.folder(new Workspace(root).create().resolve("steps"));
    Path part = steps.resolve("part");
    deleteAll(part);
    try {
      disk.makeFolder(part);
      disk.makeFolder(part.resolve(StepFolders.BEFORE));
      disk.makeFolder(part.resolve(StepFolders.AFTER));
      Step step = step(change, command, saved(change, part));
      save(part.resolve(StepFile.INTENT), StepFile.intent(step));
      save(part.resolve(StepFile.STATE), folders.state(step, StepState.INTENDED));
      disk.sync(part.resolve(StepFolders.BEFORE));
      disk.sync(part.resolve(StepFolders.AFTER));
      disk.sync(part);
      disk.rename(part, folders.of(step));
      disk.sync(steps);
      return step;
    } catch (IOException | RuntimeException e) {
      deleteAll(part);
      throw e;
    }
  }

  private Step step(Change change, String command, List<Step.Entry> entries) {
    return new Step(
        folders.next(),
        change.id(),
        command,
        change.summary(),
        Instant.now().truncatedTo(ChronoUnit.SECONDS),
        StepState.INTENDED,
        entries,
        new Targets(root, new Inside(root)).missing(change));
  }

  /** Saves each file as it is and as it is to be. */
  private List<Step.Entry> saved(Change change, Path part) throws IOException {
    List<Step.Entry> entries = new ArrayList<>();
    for (ChangedFile file : change.files()) {
      if (file.isDeleted()) {
        String before = original(file.path(), part, entries.size());
        entries.add(new Step.Entry(file.path(), before, ""));
        continue;
      }
      Path saved = part.resolve(StepFolders.AFTER).resolve(String.valueOf(entries.size()));
      byte[] after = after(file);
      save(saved, after);
      if (file.movedFrom().isPresent()) {
        disk.like(root.resolve(file.movedFrom().get()), saved);
        entries.add(new Step.Entry(file.path(), "", Fingerprint.of(after)));
        String before = original(file.movedFrom().get(), part, entries.size());
        entries.add(new Step.Entry(file.movedFrom().get(), before, ""));
      } else {
        String before = file.isNew() ? "" : original(file.path(), part, entries.size());
        entries.add(new Step.Entry(file.path(), before, Fingerprint.of(after)));
      }
    }
    return entries;
  }

  /** Saves a file as it is; its fingerprint. */
  private String original(String path, Path part, int i) throws IOException {
    byte[] original = Files.readAllBytes(root.resolve(path));
    Path saved = part.resolve(StepFolders.BEFORE).resolve(String.valueOf(i));
    save(saved, original);
    disk.like(root.resolve(path), saved);
    return Fingerprint.of(original);
  }

  private static byte[] after(ChangedFile file) {
    try {
      return file.after().encode(file.after().text());
    } catch (CharacterCodingException | UnsupportedOperationException e) {
      throw new JournalProblem(
          file.path() + " would hold characters that " + file.after().charset() + " has not.",
          "Choose names within that encoding.",
          List.of(file.path()));
    }
  }

  private void save(Path file, byte[] content) throws IOException {
    disk.write(file, content);
    disk.sync(file);
  }

  private void deleteAll(Path folder) throws IOException {
    if (!Files.exists(folder, LinkOption.NOFOLLOW_LINKS)) {
      return;
    }
    List<Path> entries;
    try (Stream<Path> walk = Files.walk(folder)) {
      entries = walk.sorted(Comparator.reverseOrder()).toList();
    }
    for (Path entry : entries) {
      disk.delete(entry);
    }
  }
}
