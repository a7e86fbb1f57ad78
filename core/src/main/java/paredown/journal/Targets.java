package paredown.journal;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.text.SourceText;

/** The targets are the files of a change, as they are on the disk just before it is written. */
final class Targets {
  private static final int LONGEST_NAME = 255;

  private final Path root;
  private final Inside inside;

  Targets(Path root, Inside inside) {
    this.root = root;
    this.inside = inside;
  }

  /**
   * Makes sure that the change may be written.
   *
   * @throws JournalProblem where a file is not what the change was made for, or may not be written
   */
  void requireUntouched(Change change) throws IOException {
    for (ChangedFile file : change.files()) {
      if (file.isNew() || file.movedFrom().isPresent()) {
        requireUntouched(file.path(), Optional.empty());
      }
      if (!file.isNew()) {
        requireUntouched(file.before().orElseThrow().path(), file.before());
      }
    }
  }

  private void requireUntouched(String path, Optional<SourceText> planned) throws IOException {
    Path target = inside.file(path);
    boolean exists = Files.exists(target, LinkOption.NOFOLLOW_LINKS);
    byte[] now = exists ? Files.readAllBytes(target) : new byte[0];
    if (exists != planned.isPresent() || !Arrays.equals(now, bytes(planned))) {
      throw new JournalProblem(
          path + " was changed by somebody else since this change was worked out.",
          "Look at the preview again, then apply.",
          List.of(path));
    }
    if (target.getFileName().toString().getBytes().length > LONGEST_NAME) {
      throw new JournalProblem(
          "The name of " + path + " is too long for a file.",
          "Choose a shorter one with --name.",
          List.of(path));
    }
    requireWritable(exists ? target : present(target.getParent()), path);
  }

  private static byte[] bytes(Optional<SourceText> planned) throws CharacterCodingException {
    return planned.isEmpty() ? new byte[0] : planned.get().encode(planned.get().text());
  }

  /** The innermost folder of a path that is there. */
  private static Path present(Path folder) {
    return Files.exists(folder, LinkOption.NOFOLLOW_LINKS) ? folder : present(folder.getParent());
  }

  /** The folders that new files need, outer ones first, relative to the project's root. */
  List<String> missing(Change change) {
    Set<String> missing = new TreeSet<>();
    for (ChangedFile file : change.files()) {
      Path folder = root.resolve(file.path()).getParent();
      for (Path there = present(folder); !folder.equals(there); folder = folder.getParent()) {
        missing.add(root.relativize(folder).toString().replace('\\', '/'));
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
}
