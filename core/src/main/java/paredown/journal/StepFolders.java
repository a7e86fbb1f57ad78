package paredown.journal;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;
import paredown.project.Fingerprint;
import paredown.project.Seal;
import paredown.project.Workspace;

/**
 * The folders of a project's steps. A step is believed where it carries the seal of this
 * installation for this project; whatever else is there is told, and left alone.
 */
final class StepFolders {
  static final String BEFORE = "before";
  static final String AFTER = "after";

  private final Path root;
  private final Path all;
  private final Seal seal;

  /** What is in one of the folders; the step is empty where it is not believed. */
  private record Found(String name, Optional<Step> step) {}

  StepFolders(Path root) {
    this.root = root;
    this.all = new Workspace(root).folder().resolve("steps");
    this.seal = Seal.of(root);
  }

  Path all() {
    return all;
  }

  Path of(Step step) {
    return all.resolve(name(step.number()));
  }

  private static String name(int number) {
    return "%04d".formatted(number);
  }

  /** The steps that are believed, oldest first. */
  List<Step> steps() {
    return found().stream().flatMap(each -> each.step().stream()).toList();
  }

  /** The names of what is there and is not believed, relative to the project's root. */
  List<String> strangers() {
    for (Path folder : List.of(all.getParent(), all)) {
      if (Files.isSymbolicLink(folder)) {
        return List.of(relative(folder));
      }
    }
    return found().stream()
        .filter(each -> each.step().isEmpty())
        .map(each -> relative(all.resolve(each.name())))
        .toList();
  }

  private List<Found> found() {
    if (!Workspace.isFolder(all)) {
      return List.of();
    }
    List<Found> found = new ArrayList<>();
    for (String name : names()) {
      found.add(new Found(name, read(all.resolve(name))));
    }
    return found;
  }

  private TreeSet<String> names() {
    TreeSet<String> names =
        new TreeSet<>(Comparator.comparingInt(String::length).thenComparing(name -> name));
    try (Stream<Path> folders = Files.list(all)) {
      folders
          .map(folder -> folder.getFileName().toString())
          .filter(name -> name.matches("\\d{4,9}"))
          .forEach(names::add);
    } catch (IOException unreadable) {
      // What cannot be listed is not believed either.
    }
    return names;
  }

  /** The number of the next step. */
  int next() {
    return names().isEmpty() ? 1 : Integer.parseInt(names().last()) + 1;
  }

  private Optional<Step> read(Path folder) {
    try {
      if (!Files.isDirectory(folder, LinkOption.NOFOLLOW_LINKS)) {
        return Optional.empty();
      }
      byte[] intent = content(folder.resolve(StepFile.INTENT));
      String[] state =
          new String(content(folder.resolve(StepFile.STATE)), StandardCharsets.UTF_8)
              .strip()
              .split(" ");
      if (state.length != 2
          || !seal.holds(state[1], sealed(folder.getFileName().toString(), state[0]), intent)) {
        return Optional.empty();
      }
      int number = Integer.parseInt(folder.getFileName().toString());
      return Optional.of(StepFile.read(number, StepState.valueOf(state[0]), intent));
    } catch (IOException | RuntimeException damaged) {
      return Optional.empty();
    }
  }

  private static byte[] content(Path file) throws IOException {
    if (!Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
      throw new IOException(file + " is no file");
    }
    return Files.readAllBytes(file);
  }

  private static String sealed(String folder, String state) {
    return "step " + folder + " " + state;
  }

  /**
   * What the state of a step is written as, sealed.
   *
   * @throws IOException where no key can be kept, so that the step would not be believed later
   */
  byte[] state(Step step, StepState state) throws IOException {
    String name = sealed(name(step.number()), state.name());
    String mark =
        seal.mark(name, StepFile.intent(step))
            .orElseThrow(
                () ->
                    new IOException(
                        "pare keeps a key of its own in "
                            + Seal.folder()
                            + ", and cannot write there; XDG_STATE_HOME names another place"));
    return (state.name() + " " + mark + "\n").getBytes(StandardCharsets.UTF_8);
  }

  /** Where the original of a step's file is kept. */
  Path original(Step step, int i) {
    return of(step).resolve(BEFORE).resolve(String.valueOf(i));
  }

  /** Whether the original of a step's file is there, just as it was. */
  boolean isWhole(Step step, int i) {
    try {
      return Fingerprint.of(content(original(step, i))).equals(step.files().get(i).before());
    } catch (IOException missing) {
      return false;
    }
  }

  String relative(Path path) {
    return root.relativize(path).toString().replace('\\', '/');
  }
}
