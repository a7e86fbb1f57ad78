package paredown.program;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import paredown.project.Module;
import paredown.project.Project;

/**
 * The source path of a project is where the compiler finds its other sources. It shows no module
 * declarations, so that all modules of a build are compiled together as one unnamed module.
 */
final class SourcePath implements AutoCloseable {
  private static final String MODULE = "module-info.java";

  private final Set<String> roots = new LinkedHashSet<>();
  private final List<Path> links = new ArrayList<>();

  SourcePath(Project project) {
    for (Module module : project.modules()) {
      module.mainRoots().forEach(this::add);
      module.testRoots().forEach(this::add);
      module.generatedRoots().forEach(this::add);
    }
  }

  private void add(Path root) {
    try {
      roots.add((Files.exists(root.resolve(MODULE)) ? withoutModule(root) : root).toString());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A folder that shows all of a root but its module declaration. */
  private Path withoutModule(Path root) throws IOException {
    Path folder = Files.createTempDirectory("pare-sources");
    links.add(folder);
    try (Stream<Path> entries = Files.list(root)) {
      for (Path entry : entries.toList()) {
        if (!entry.endsWith(MODULE)) {
          Files.createSymbolicLink(folder.resolve(entry.getFileName()), entry);
        }
      }
    }
    return folder;
  }

  /** The roots as the compiler's option takes them. */
  String option() {
    return String.join(File.pathSeparator, roots);
  }

  /** Takes the folders of links away. */
  @Override
  public void close() {
    try {
      for (Path folder : links) {
        try (Stream<Path> entries = Files.list(folder)) {
          for (Path link : entries.toList()) {
            Files.delete(link);
          }
        }
        Files.delete(folder);
      }
      links.clear();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
