package paredown.journal;

import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Inside is what lies within a project's root and is reached without a link. */
final class Inside {
  private final Path root;

  Inside(Path root) {
    this.root = root;
  }

  /**
   * The place of a relative path.
   *
   * @throws JournalProblem where it leads out of the root, or a link is on the way or at its end
   */
  Path file(String path) {
    String wrong = wrong(path).orElse(null);
    if (wrong != null) {
      throw new JournalProblem(
          path + " " + wrong + ".", "Only files of the project itself are changed.", List.of(path));
    }
    return root.resolve(path);
  }

  /** What is wrong with a path; empty where it may be written to. */
  private Optional<String> wrong(String path) {
    Path relative;
    try {
      relative = Path.of(path);
    } catch (InvalidPathException e) {
      return Optional.of("is no path");
    }
    boolean plain = !path.isEmpty() && !relative.isAbsolute() && relative.getRoot() == null;
    if (!plain || !relative.normalize().equals(relative) || relative.startsWith("..")) {
      return Optional.of("leads out of the project");
    }
    Path at = root;
    for (Path name : relative) {
      at = at.resolve(name);
      if (Files.isSymbolicLink(at)) {
        return Optional.of("is a link, or is reached by one");
      }
      boolean last = at.equals(root.resolve(relative));
      boolean there = Files.exists(at, LinkOption.NOFOLLOW_LINKS);
      if (!last && there && !Files.isDirectory(at, LinkOption.NOFOLLOW_LINKS)) {
        return Optional.of("cannot be there: " + root.relativize(at) + " is not a folder");
      }
      if (last && there && !Files.isRegularFile(at, LinkOption.NOFOLLOW_LINKS)) {
        return Optional.of("is not a file: something else is in its place");
      }
    }
    return Optional.empty();
  }
}
