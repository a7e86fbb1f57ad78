package paredown.journal;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.project.Fingerprint;
import paredown.project.Project;
import paredown.project.Workspace;
import paredown.text.Listed;

/**
 * The journal brings changes onto the disk, whole or not at all, and takes them back.
 *
 * <p>A step is <em>intended</em>, then <em>written</em>, then <em>verified</em>. Before the first
 * source file is touched its original and the intent are on the disk; files are replaced by
 * renaming. So a crash at any moment leaves a step that can be put back.
 */
public final class Journal {
  private final Path root;
  private final Path steps;
  private final Disk disk;

  Journal(Path root, Disk disk) {
    this.root = root;
    this.steps = new Workspace(root).folder().resolve("steps");
    this.disk = disk;
  }

  public static Journal of(Project project) {
    return new Journal(project.root(), new RealDisk());
  }

  /** All steps, oldest first. */
  public List<Step> steps() {
    if (!Files.isDirectory(steps)) {
      return List.of();
    }
    try (Stream<Path> folders = Files.list(steps)) {
      List<Step> found = new ArrayList<>();
      for (Path folder :
          folders.filter(f -> f.getFileName().toString().matches("\\d+")).sorted().toList()) {
        found.add(StepFile.read(folder));
      }
      return found;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The step that was cut off while it was written, tested or taken back; empty where none was. */
  public Optional<Step> open() {
    return steps().stream().filter(step -> step.state().isOpen()).findFirst();
  }

  /** The last step that was kept. */
  public Optional<Step> last() {
    return steps().stream()
        .filter(step -> step.state() == StepState.VERIFIED)
        .max(Comparator.comparingInt(Step::number));
  }

  /**
   * Brings a change onto the disk; the step is written then, and waits for its verdict.
   *
   * @throws JournalProblem where a file is not what the change was made for, or may not be written
   */
  public Step write(Change change, String command) {
    try {
      requireUntouched(change);
      Step step = intend(change, command);
      for (String made : step.folders()) {
        disk.makeFolder(root.resolve(made));
        disk.sync(root.resolve(made).getParent());
      }
      for (int i = 0; i < step.files().size(); i++) {
        replace(step, i, "after");
      }
      return enter(step, StepState.WRITTEN);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Keeps a written step. */
  public Step verify(Step step) {
    try {
      return enter(step, StepState.VERIFIED);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Puts back what a step did. Only files whose content is what the step wrote are touched.
   *
   * @return the files that somebody has edited since, which stay as they are; their originals are
   *     in the step's folder
   */
  public List<String> putBack(Step step) {
    try {
      Step returning =
          step.state() == StepState.RETURNING ? step : enter(step, StepState.RETURNING);
      List<String> edited = new ArrayList<>();
      for (int i = step.files().size() - 1; i >= 0; i--) {
        Step.Entry entry = step.files().get(i);
        Path file = root.resolve(entry.path());
        String now = fingerprint(file);
        if (now.equals(entry.before())) {
          continue;
        }
        if (!now.equals(entry.after())) {
          edited.add(
              entry.path()
                  + (entry.created() ? "" : " (its original is " + original(step, i) + ")"));
        } else if (entry.created()) {
          disk.delete(file);
          disk.sync(file.getParent());
        } else {
          replace(step, i, "before");
        }
      }
      for (int i = step.folders().size() - 1; i >= 0; i--) {
        removeEmpty(root.resolve(step.folders().get(i)));
      }
      enter(returning, StepState.UNDONE);
      return edited;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Somebody else may have put something in meanwhile. */
  private void removeEmpty(Path folder) throws IOException {
    if (Files.isDirectory(folder)) {
      boolean empty;
      try (Stream<Path> entries = Files.list(folder)) {
        empty = entries.findAny().isEmpty();
      }
      if (empty) {
        disk.delete(folder);
        disk.sync(folder.getParent());
      }
    }
  }

  /**
   * Takes a kept step back.
   *
   * @throws JournalProblem where a file was edited since; nothing is touched then
   */
  public void undo(Step step) {
    List<String> edited =
        step.files().stream()
            .filter(entry -> !fingerprint(root.resolve(entry.path())).equals(entry.after()))
            .map(Step.Entry::path)
            .toList();
    if (!edited.isEmpty()) {
      throw new JournalProblem(
          "Step %d cannot be taken back: %s not as the step left %s."
              .formatted(
                  step.number(),
                  Listed.of(edited) + (edited.size() == 1 ? " is" : " are"),
                  edited.size() == 1 ? "it" : "them"),
          "Was it edited since, or is this another branch? The originals are in "
              + relative(folder(step).resolve("before"))
              + ".",
          edited);
    }
    putBack(step);
  }

  private void requireUntouched(Change change) throws IOException {
    Path real = root.toRealPath();
    for (ChangedFile file : change.files()) {
      Path target = root.resolve(file.path());
      boolean exists = Files.exists(target, LinkOption.NOFOLLOW_LINKS);
      Path folder = present(target.getParent());
      boolean reached = Files.isDirectory(folder) && folder.toRealPath().startsWith(real);
      if (Files.isSymbolicLink(target) || !reached) {
        throw new JournalProblem(
            file.path() + " is a link, or is reached by one that leads out of the project.",
            "Only files of the project itself are changed.",
            List.of(file.path()));
      }
      byte[] now = exists ? Files.readAllBytes(target) : new byte[0];
      byte[] planned = file.isNew() ? new byte[0] : encode(file.before().orElseThrow(), file);
      if (exists == file.isNew() || !java.util.Arrays.equals(now, planned)) {
        throw new JournalProblem(
            file.path() + " was changed by somebody else since this change was worked out.",
            "Look at the preview again, then apply.",
            List.of(file.path()));
      }
      requireWritable(exists ? target : folder, file.path());
    }
  }

  /** The innermost folder of a path that is there. */
  private static Path present(Path folder) {
    return Files.exists(folder, LinkOption.NOFOLLOW_LINKS) ? folder : present(folder.getParent());
  }

  /** The folders that new files need, outer ones first. */
  private List<String> missing(Change change) {
    Set<String> missing = new TreeSet<>();
    for (ChangedFile file : change.files()) {
      Path folder = root.resolve(file.path()).getParent();
      for (Path there = present(folder); !folder.equals(there); folder = folder.getParent()) {
        missing.add(relative(folder));
      }
    }
    return List.copyOf(missing);
  }

  private static void requireWritable(Path target, String path) throws IOException {
    boolean writable = Files.isWritable(target);
    if (writable && Files.getFileStore(target).supportsFileAttributeView("posix")) {
      writable = Files.getPosixFilePermissions(target).contains(PosixFilePermission.OWNER_WRITE);
    }
    if (!writable) {
      throw new JournalProblem(
          path + " may not be written to.", "Make it writable first.", List.of(path));
    }
  }

  private static byte[] encode(paredown.text.SourceText text, ChangedFile file)
      throws CharacterCodingException {
    return text.encode(file.before().orElseThrow().text());
  }

  private static byte[] after(ChangedFile file) {
    try {
      return file.after().encode(file.after().text());
    } catch (CharacterCodingException e) {
      throw new JournalProblem(
          file.path() + " would hold characters that " + file.after().charset() + " has not.",
          "Choose names within that encoding.",
          List.of(file.path()));
    }
  }

  private Step intend(Change change, String command) throws IOException {
    new Workspace(root).create();
    disk.makeFolder(steps);
    int number = steps().stream().mapToInt(Step::number).max().orElse(0) + 1;
    Path part = steps.resolve("part");
    deleteAll(part);
    List<Step.Entry> entries = new ArrayList<>();
    disk.makeFolder(part.resolve("before"));
    disk.makeFolder(part.resolve("after"));
    for (int i = 0; i < change.files().size(); i++) {
      ChangedFile file = change.files().get(i);
      byte[] after = after(file);
      save(part.resolve("after").resolve(String.valueOf(i)), after);
      String before = "";
      if (!file.isNew()) {
        byte[] original = Files.readAllBytes(root.resolve(file.path()));
        save(part.resolve("before").resolve(String.valueOf(i)), original);
        before = Fingerprint.of(original);
      }
      entries.add(new Step.Entry(file.path(), before, Fingerprint.of(after)));
    }
    Step step =
        new Step(
            number,
            change.id(),
            command,
            change.summary(),
            Instant.now().truncatedTo(ChronoUnit.SECONDS),
            StepState.INTENDED,
            entries,
            missing(change));
    save(part.resolve(StepFile.INTENT), StepFile.intent(step));
    save(part.resolve(StepFile.STATE), state(StepState.INTENDED));
    disk.sync(part.resolve("before"));
    disk.sync(part.resolve("after"));
    disk.sync(part);
    disk.rename(part, folder(step));
    disk.sync(steps);
    return step;
  }

  private void save(Path file, byte[] content) throws IOException {
    disk.write(file, content);
    disk.sync(file);
  }

  /** Puts a saved content in the place of a file, with the permissions that the file has. */
  private void replace(Step step, int i, String saved) throws IOException {
    Path target = root.resolve(step.files().get(i).path());
    Path folder = folder(step);
    Path next = folder.resolve("next");
    disk.write(next, Files.readAllBytes(folder.resolve(saved).resolve(String.valueOf(i))));
    permissions(target, next);
    disk.sync(next);
    disk.rename(next, target);
    disk.sync(target.getParent());
  }

  private static void permissions(Path like, Path file) throws IOException {
    if (Files.getFileStore(file).supportsFileAttributeView("posix") && Files.exists(like)) {
      Set<PosixFilePermission> permissions = Files.getPosixFilePermissions(like);
      Files.setAttribute(
          file, "posix:permissions", PosixFilePermissions.asFileAttribute(permissions).value());
    }
  }

  private Step enter(Step step, StepState state) throws IOException {
    Path folder = folder(step);
    Path next = folder.resolve("state.next");
    save(next, state(state));
    disk.rename(next, folder.resolve(StepFile.STATE));
    disk.sync(folder);
    return step.in(state);
  }

  private static byte[] state(StepState state) {
    return (state.name() + "\n").getBytes(StandardCharsets.UTF_8);
  }

  private Path folder(Step step) {
    return steps.resolve("%04d".formatted(step.number()));
  }

  private String original(Step step, int i) {
    return relative(folder(step).resolve("before").resolve(String.valueOf(i)));
  }

  private String relative(Path path) {
    return root.relativize(path).toString().replace('\\', '/');
  }

  /** The fingerprint of a file; empty where there is none. */
  private static String fingerprint(Path file) {
    try {
      return Files.exists(file) ? Fingerprint.of(Files.readAllBytes(file)) : "";
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void deleteAll(Path folder) throws IOException {
    if (!Files.exists(folder)) {
      return;
    }
    try (Stream<Path> entries = Files.walk(folder)) {
      for (Path entry : entries.sorted(Comparator.reverseOrder()).toList()) {
        disk.delete(entry);
      }
    }
  }
}
