package paredown.project;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.Optional;

/**
 * The workspace is the folder {@code .pare} in a project's root, which version control ignores.
 * Nothing in it is followed where it is a link.
 */
public final class Workspace {
  private static final int MARK = 64;

  private final Path root;

  public Workspace(Path root) {
    this.root = root;
  }

  public Path folder() {
    return root.resolve(".pare");
  }

  /**
   * Makes the folder where it is not there yet.
   *
   * @throws IOException where it cannot be made, or is a link
   */
  public Path create() throws IOException {
    Path folder = folder(folder());
    try {
      Files.writeString(
          folder.resolve(".gitignore"),
          "*\n",
          StandardOpenOption.CREATE_NEW,
          StandardOpenOption.WRITE);
    } catch (FileAlreadyExistsException there) {
      // It says so already, or somebody has put something else there on purpose.
    }
    return folder;
  }

  /**
   * Makes a folder whose parent is there.
   *
   * @throws IOException where something else is in its place, a link among them
   */
  public static Path folder(Path folder) throws IOException {
    if (Files.isSymbolicLink(folder)) {
      throw new LinkInTheWay(folder);
    }
    if (!Files.isDirectory(folder)) {
      Files.createDirectory(folder);
    }
    return folder;
  }

  /** Whether a folder of the workspace is really there, and not a link to another. */
  public static boolean isFolder(Path folder) {
    return Files.isDirectory(folder.getParent(), LinkOption.NOFOLLOW_LINKS)
        && Files.isDirectory(folder, LinkOption.NOFOLLOW_LINKS);
  }

  /** What was kept under a name; empty where nothing was, or it is not as it was kept. */
  public Optional<byte[]> cached(String name) {
    try {
      Path cache = folder().resolve("cache");
      Path file = cache.resolve(name);
      if (!isFolder(cache) || !Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
        return Optional.empty();
      }
      byte[] kept = Files.readAllBytes(file);
      if (kept.length < MARK) {
        return Optional.empty();
      }
      String mark = new String(kept, 0, MARK, StandardCharsets.ISO_8859_1);
      byte[] content = Arrays.copyOfRange(kept, MARK, kept.length);
      return Optional.of(content).filter(each -> Seal.of(root).holds(mark, name, each));
    } catch (IOException unreadable) {
      return Optional.empty();
    }
  }

  /** Keeps content under a name. A project that cannot be written to simply has no cache. */
  public void cache(String name, byte[] content) {
    try {
      Optional<String> mark = Seal.of(root).mark(name, content);
      if (mark.isPresent()) {
        Path cache = folder(create().resolve("cache"));
        Path part = Files.createTempFile(cache, name, ".part");
        try (var out = Files.newOutputStream(part)) {
          out.write(mark.get().getBytes(StandardCharsets.ISO_8859_1));
          out.write(content);
        }
        Files.move(part, cache.resolve(name), StandardCopyOption.REPLACE_EXISTING);
      }
    } catch (IOException readOnly) {
      // Caches are optional; the answer is simply asked for again next time.
    }
  }
}
