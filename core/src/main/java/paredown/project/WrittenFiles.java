package paredown.project;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Set;
import java.util.TreeMap;

/** The files of a project that people wrote: neither hidden nor built. */
public final class WrittenFiles {
  private static final Set<String> BUILT = Set.of("target", "build", "out", "node_modules");

  private WrittenFiles() {}

  /** Their sizes in bytes, by their paths; what cannot be read is left out. */
  public static TreeMap<Path, Long> below(Path root) {
    TreeMap<Path, Long> files = new TreeMap<>();
    try {
      Files.walkFileTree(
          root,
          new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult preVisitDirectory(Path folder, BasicFileAttributes attributes) {
              String name = String.valueOf(folder.getFileName());
              boolean skip = BUILT.contains(name) || name.startsWith(".");
              return skip && !folder.equals(root)
                  ? FileVisitResult.SKIP_SUBTREE
                  : FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
              if (attributes.isRegularFile()) {
                files.put(file, attributes.size());
              }
              return FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult visitFileFailed(Path file, IOException e) {
              return FileVisitResult.CONTINUE;
            }
          });
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return files;
  }
}
