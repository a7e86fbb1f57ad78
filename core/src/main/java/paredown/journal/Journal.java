package paredown.journal;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import paredown.MachineProblem;
import paredown.edit.Change;
import paredown.project.Fingerprint;
import paredown.project.Project;
import paredown.text.Listed;

/**
 * The journal brings changes onto the disk, whole or not at all, and takes them back.
 *
 * <p>A step is <em>intended</em>, then <em>written</em>, then <em>verified</em>. Before the first
 * source file is touched its original and the intent are on the disk; files are replaced by
 * renaming. So a crash at any moment leaves a step that can be put back. Each state of a step is
 * sealed, so that a journal that came with a project from elsewhere is never acted on.
 */
public final class Journal {
  private final Path root;
  private final StepFolders folders;
  private final Inside inside;
  private final Disk disk;

  Journal(Path root, Disk disk) {
    this.root = root;
    this.folders = new StepFolders(root);
    this.inside = new Inside(root);
    this.disk = disk;
  }

  public static Journal of(Project project) {
    return new Journal(project.root(), new RealDisk());
  }

  /** All steps that this installation applied to the project here, oldest first. */
  public List<Step> steps() {
    return folders.steps();
  }

  /** What is in the journal's place and was not written by this installation, or is damaged. */
  public List<String> strangers() {
    return folders.strangers();
  }

  /** What a file was before a step; empty where that is not known, or there was no such file. */
  public Optional<byte[]> original(Step step, String path) {
    for (int i = 0; i < step.files().size(); i++) {
      if (step.files().get(i).path().equals(path) && folders.isWhole(step, i)) {
        try {
          return Optional.of(Files.readAllBytes(folders.original(step, i)));
        } catch (IOException gone) {
          return Optional.empty();
        }
      }
    }
    return Optional.empty();
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
   * @throws MachineProblem where the machine did not let it; all is as before then, or the sentence
   *     says what is not
   */
  public Step write(Change change, String command) {
    return bring(intend(change, command));
  }

  /** Writes down what is to be done, with the originals; no source is touched yet. */
  public Step intend(Change change, String command) {
    try {
      new Targets(root, inside).requireUntouched(change);
      return new Intending(root, folders, disk).intend(change, command);
    } catch (IOException e) {
      throw new MachineProblem(
          "The change cannot be written: " + MachineProblem.reason(e) + ". Nothing was written.",
          "Mend that, then try again.",
          e);
    }
  }

  /** Does what was intended. */
  public Step bring(Step step) {
    try {
      for (String made : step.folders()) {
        disk.makeFolder(root.resolve(made));
        disk.sync(root.resolve(made).getParent());
      }
      for (int i = 0; i < step.files().size(); i++) {
        Path file = inside.file(step.files().get(i).path());
        if (step.files().get(i).deleted()) {
          remove(file);
        } else {
          replace(folders.of(step).resolve(StepFolders.AFTER).resolve(String.valueOf(i)), file);
        }
      }
      return enter(step, StepState.WRITTEN);
    } catch (IOException e) {
      throw cutOff(step, e);
    }
  }

  /** Keeps a written step. */
  public Step verify(Step step) {
    try {
      return enter(step, StepState.VERIFIED);
    } catch (IOException e) {
      throw cutOff(step, e);
    }
  }

  /** Lets go of a step, without touching its files. */
  public Step forget(Step step) {
    try {
      return enter(step, StepState.FORGOTTEN);
    } catch (IOException e) {
      throw unwritable(step, e);
    }
  }

  /** Puts back at once what the machine did not let us finish. */
  private MachineProblem cutOff(Step step, IOException e) {
    String why = "Step " + step.number() + " was cut off: " + MachineProblem.reason(e) + ". ";
    List<String> left;
    try {
      makeRoom(step);
      left = putBack(step);
    } catch (MachineProblem | IOException again) {
      left = unlike(step);
      if (!left.isEmpty()) {
        return new MachineProblem(
            why + "Not as before: " + Listed.of(left) + ".",
            "Mend that, then put the rest back with pare undo.",
            e);
      }
    }
    return new MachineProblem(
        why
            + (left.isEmpty()
                ? "Everything was put back."
                : "All was put back but " + Listed.of(left) + "."),
        "Mend that, then try again.",
        e);
  }

  /** What a step was to write is not needed to put it back. */
  private void makeRoom(Step step) throws IOException {
    for (int i = 0; i < step.files().size(); i++) {
      disk.delete(folders.of(step).resolve(StepFolders.AFTER).resolve(String.valueOf(i)));
    }
  }

  /** The files of a step that are not as they were before it. */
  private List<String> unlike(Step step) {
    List<String> unlike = new ArrayList<>();
    for (int i = 0; i < step.files().size(); i++) {
      Step.Entry entry = step.files().get(i);
      if (!fingerprint(root.resolve(entry.path())).equals(entry.before())) {
        unlike.add(named(step, i));
      }
    }
    return unlike;
  }

  private String named(Step step, int i) {
    Step.Entry entry = step.files().get(i);
    if (entry.created()) {
      return entry.path();
    }
    String original = folders.relative(folders.original(step, i));
    return entry.path()
        + (folders.isWhole(step, i)
            ? " (its original is " + original + ")"
            : " (its original, " + original + ", is damaged)");
  }

  /**
   * Puts back what a step did. Only files whose content is what the step wrote are touched.
   *
   * @return the files that stay as they are: somebody has edited them since, or their originals are
   *     damaged; each with where its original is
   */
  public List<String> putBack(Step step) {
    try {
      Step returning =
          step.state() == StepState.RETURNING ? step : enter(step, StepState.RETURNING);
      List<String> left = new ArrayList<>();
      for (int i = step.files().size() - 1; i >= 0; i--) {
        if (!putBack(step, i)) {
          left.add(named(step, i));
        }
      }
      for (int i = step.folders().size() - 1; i >= 0; i--) {
        removeEmpty(root.resolve(step.folders().get(i)));
      }
      enter(returning, StepState.UNDONE);
      return left;
    } catch (IOException e) {
      throw unwritable(step, e);
    }
  }

  private static MachineProblem unwritable(Step step, IOException e) {
    return new MachineProblem(
        "Step %d cannot be taken back yet: %s.".formatted(step.number(), MachineProblem.reason(e)),
        "Mend that, then try pare undo again; nothing is lost.",
        e);
  }

  /** Puts one file back; whether it is as before now. */
  private boolean putBack(Step step, int i) throws IOException {
    Step.Entry entry = step.files().get(i);
    Path file;
    try {
      file = inside.file(entry.path());
    } catch (JournalProblem leadsElsewhere) {
      return false;
    }
    String now = fingerprint(file);
    if (now.equals(entry.before())) {
      return true;
    }
    if (!now.equals(entry.after()) || !entry.created() && !folders.isWhole(step, i)) {
      return false;
    }
    if (entry.created()) {
      remove(file);
    } else {
      replace(folders.original(step, i), file);
    }
    return true;
  }

  /** Somebody else may have put something in meanwhile. */
  private void removeEmpty(Path folder) throws IOException {
    if (Files.isDirectory(folder, LinkOption.NOFOLLOW_LINKS)) {
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
   * @throws JournalProblem where a file was edited since, or an original is damaged; nothing is
   *     touched then
   */
  public void undo(Step step) {
    List<String> edited = new ArrayList<>();
    List<String> damaged = new ArrayList<>();
    for (int i = 0; i < step.files().size(); i++) {
      Step.Entry entry = step.files().get(i);
      if (!fingerprint(inside.file(entry.path())).equals(entry.after())) {
        edited.add(entry.path());
      } else if (!entry.created() && !folders.isWhole(step, i)) {
        damaged.add(entry.path());
      }
    }
    if (!edited.isEmpty()) {
      throw new JournalProblem(
          "Step %d cannot be taken back: %s not as the step left %s."
              .formatted(
                  step.number(),
                  Listed.of(edited) + (edited.size() == 1 ? " is" : " are"),
                  edited.size() == 1 ? "it" : "them"),
          "Was it edited since, or is this another branch? The originals are in "
              + folders.relative(folders.of(step).resolve(StepFolders.BEFORE))
              + "; pare undo --forget keeps the files as they are.",
          edited);
    }
    if (!damaged.isEmpty()) {
      throw new JournalProblem(
          "Step %d cannot be taken back: what was saved of %s in %s is damaged or missing."
              .formatted(
                  step.number(),
                  Listed.of(damaged),
                  folders.relative(folders.of(step).resolve(StepFolders.BEFORE))),
          "Take it from version control. pare undo --forget lets go of the step, and leaves all"
              + " files as they are.",
          damaged);
    }
    List<String> left = putBack(step);
    if (!left.isEmpty()) {
      throw new JournalProblem(
          "Step %d was taken back but for %s.".formatted(step.number(), Listed.of(left)),
          "It was edited at the same moment; look at it.",
          left);
    }
  }

  /** Puts a saved content in the place of a file, with the rights that the file has. */
  private void replace(Path saved, Path target) throws IOException {
    disk.like(target, saved);
    disk.sync(saved);
    disk.rename(saved, target);
    disk.sync(target.getParent());
  }

  private void remove(Path file) throws IOException {
    disk.delete(file);
    disk.sync(file.getParent());
  }

  private Step enter(Step step, StepState state) throws IOException {
    Path folder = folders.of(step);
    Path next = folder.resolve("state.next");
    disk.write(next, folders.state(step, state));
    disk.sync(next);
    disk.rename(next, folder.resolve(StepFile.STATE));
    disk.sync(folder);
    return step.in(state);
  }

  /** The fingerprint of a file; empty where there is none. */
  private static String fingerprint(Path file) {
    try {
      return Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)
          ? Fingerprint.of(Files.readAllBytes(file))
          : "";
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
