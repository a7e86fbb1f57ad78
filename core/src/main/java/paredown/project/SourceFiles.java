package paredown.project;

import java.io.IOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** The source files of a project, found below its source roots, in the order of their paths. */
public final class SourceFiles {
  private SourceFiles() {}

  /**
   * All Java files but module and package descriptors.
   *
   * @throws ProjectUnreadable where a folder cannot be read, or there is no Java at all
   */
  public static List<SourceFile> of(Project project) {
    Map<Path, SourceFile> found = new LinkedHashMap<>();
    for (Module module : project.modules()) {
      module
          .generatedRoots()
          .forEach(r -> walk(project, module, r, SourceFile.Kind.GENERATED, found));
      module.mainRoots().forEach(r -> walk(project, module, r, SourceFile.Kind.MAIN, found));
      module.testRoots().forEach(r -> walk(project, module, r, SourceFile.Kind.TEST, found));
    }
    if (found.isEmpty()) {
      throw new ProjectUnreadable(
          "There is no Java source in " + project.root() + ".",
          "Name the project's folder with --project, or its source roots with sources: in "
              + Settings.FILE
              + ".");
    }
    return found.values().stream().sorted(Comparator.comparing(SourceFile::path)).toList();
  }

  /** The source files of one kind. */
  public static Predicate<SourceFile> are(SourceFile.Kind kind) {
    return file -> file.kind() == kind;
  }

  private static void walk(
      Project project,
      Module module,
      Path root,
      SourceFile.Kind kind,
      Map<Path, SourceFile> found) {
    try {
      Files.walkFileTree(
          root,
          new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult preVisitDirectory(Path folder, BasicFileAttributes attributes) {
              boolean skip =
                  !folder.equals(root) && folder.getFileName().toString().startsWith(".");
              return skip ? FileVisitResult.SKIP_SUBTREE : FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
              String relative = project.relative(file);
              if (isCode(file)) {
                SourceFile.Kind of =
                    project.settings().excludes(relative) ? SourceFile.Kind.GENERATED : kind;
                found.putIfAbsent(file, new SourceFile(relative, file, root, module, of));
              }
              return FileVisitResult.CONTINUE;
            }
          });
    } catch (IOException e) {
      throw new ProjectUnreadable(
          "The folder " + root + " cannot be read: " + e.getMessage() + ".",
          "Check its permissions.",
          e);
    }
  }

  private static boolean isCode(Path file) {
    String name = file.getFileName().toString();
    return name.endsWith(".java")
        && !name.equals("module-info.java")
        && !name.equals("package-info.java");
  }
}
