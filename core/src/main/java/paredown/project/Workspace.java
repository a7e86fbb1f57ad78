package paredown.project;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;

/** The workspace is the folder {@code .pare} in a project's root, which version control ignores. */
public final class Workspace {
  private final Path root;

  public Workspace(Path root) {
    this.root = root;
  }

  public Path folder() {
    return root.resolve(".pare");
  }

  /** Makes the folder where it is not there yet. */
  public Path create() throws IOException {
    Path folder = folder();
    Files.createDirectories(folder);
    Path ignore = folder.resolve(".gitignore");
    if (!Files.exists(ignore)) {
      Files.writeString(ignore, "*\n");
    }
    return folder;
  }

  /** What was kept under a name; empty where nothing was, or it cannot be read. */
  public Optional<byte[]> cached(String name) {
    try {
      Path file = folder().resolve("cache").resolve(name);
      return Files.isRegularFile(file) ? Optional.of(Files.readAllBytes(file)) : Optional.empty();
    } catch (IOException unreadable) {
      return Optional.empty();
    }
  }

  /** Keeps content under a name. A project that cannot be written to simply has no cache. */
  public void cache(String name, byte[] content) {
    try {
      Path cache = Files.createDirectories(create().resolve("cache"));
      Path part = Files.createTempFile(cache, name, ".part");
      Files.write(part, content);
      Files.move(part, cache.resolve(name), StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException readOnly) {
      // Caches are optional; the answer is simply asked for again next time.
    }
  }
}
