package paredown.bench;

import java.io.IOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;

/** Copies a library, but for what version control and Pare Down keep of it. */
final class FolderCopy {
  private FolderCopy() {}

  static void of(Path library, Path copy) throws IOException {
    Files.walkFileTree(
        library,
        new SimpleFileVisitor<>() {
          @Override
          public FileVisitResult preVisitDirectory(Path folder, BasicFileAttributes attributes)
              throws IOException {
            if (folder.endsWith(".pare") || folder.endsWith(".git")) {
              return FileVisitResult.SKIP_SUBTREE;
            }
            Files.createDirectories(copy.resolve(library.relativize(folder).toString()));
            return FileVisitResult.CONTINUE;
          }

          @Override
          public FileVisitResult visitFile(Path file, BasicFileAttributes attributes)
              throws IOException {
            Files.copy(file, copy.resolve(library.relativize(file).toString()));
            return FileVisitResult.CONTINUE;
          }
        });
  }
}
