package paredown;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;

/** A small project of plain folders in a temporary place. */
public final class Fixture {
  private final Path root;

  public Fixture(Path root) {
    this.root = root;
  }

  /** Writes a file below the root. */
  public Fixture with(String path, String text) {
    return with(path, text.getBytes(StandardCharsets.UTF_8));
  }

  public Fixture with(String path, byte[] content) {
    try {
      Path file = root.resolve(path);
      Files.createDirectories(file.getParent());
      Files.write(file, content);
      return this;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public Fixture withAll(Map<String, String> files) {
    files.forEach(this::with);
    return this;
  }

  public Path root() {
    return root;
  }

  public Project project() {
    return Project.at(root, Progress.silent());
  }

  public Sources sources() {
    return new Sources(project());
  }

  public static SourceIndex index(Sources sources) {
    return new SourceIndex(sources);
  }
}
