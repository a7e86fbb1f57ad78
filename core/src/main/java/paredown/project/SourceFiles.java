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
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import paredown.MachineProblem;

/**
 * The source files of a project, found below its source roots.
 *
 * @param files in the order of their paths
 * @param passedOver paths of what looks like a source and is none that could be read: a pipe, a
 *     device, a link that leads out of the project
 */
public record SourceFiles(List<SourceFile> files, List<String> passedOver) {
  private static final List<SourceFile.Kind> ORDER =
      List.of(SourceFile.Kind.GENERATED, SourceFile.Kind.MAIN, SourceFile.Kind.TEST);

  public SourceFiles {
    files = List.copyOf(files);
    passedOver = List.copyOf(passedOver);
  }

  /**
   * All Java files but module and package descriptors.
   *
   * @throws ProjectUnreadable where a source root cannot be read, or there is no Java at all
   */
  public static SourceFiles of(Project project) {
    Map<Path, SourceFile> found = new LinkedHashMap<>();
    Set<String> odd = new TreeSet<>();
    for (Module module : project.modules()) {
      for (SourceFile.Kind kind : ORDER) {
        for (Path root : module.roots(kind)) {
          new Walk(project, module, root, kind, found, odd).walk();
        }
      }
    }
    if (found.isEmpty()) {
      throw new ProjectUnreadable(
          "There is no Java source in " + project.root() + ".",
          "Name the project's folder with --project, or its source roots with sources: in "
              + Settings.FILE
              + ".");
    }
    return new SourceFiles(
        found.values().stream().sorted(Comparator.comparing(SourceFile::path)).toList(),
        List.copyOf(odd));
  }

  /** The source files of one kind. */
  public static Predicate<SourceFile> are(SourceFile.Kind kind) {
    return file -> file.kind() == kind;
  }

  /** One source root, with all folders below it. */
  private record Walk(
      Project project,
      Module module,
      Path root,
      SourceFile.Kind kind,
      Map<Path, SourceFile> found,
      Set<String> odd) {

    void walk() {
      try {
        boolean link = Files.isSymbolicLink(root);
        Path real = root.toRealPath();
        if (link && !real.startsWith(project.root().toRealPath())) {
          odd.add(project.relative(root));
          return;
        }
        Files.walkFileTree(link ? real : root, new Visitor());
      } catch (IOException e) {
        throw new ProjectUnreadable(
            "The folder " + root + " cannot be read: " + MachineProblem.reason(e) + ".",
            "Check its permissions.",
            e);
      }
    }

    private void file(Path file, BasicFileAttributes attributes) {
      String relative = project.relative(file);
      if (attributes.isSymbolicLink() && Files.isDirectory(file)) {
        odd.add(relative);
      } else if (isCode(file)) {
        if (isReadable(file, attributes)) {
          boolean excluded = project.settings().excludes(relative);
          SourceFile.Kind of = excluded ? SourceFile.Kind.GENERATED : kind;
          found.putIfAbsent(file, new SourceFile(relative, file, root, module, of));
        } else {
          odd.add(relative);
        }
      }
    }

    private static boolean isCode(Path file) {
      String name = file.getFileName().toString();
      return name.endsWith(".java")
          && !name.equals("module-info.java")
          && !name.equals("package-info.java");
    }

    /** Whether it is a file, or a link to one in the project: no pipe, no device. */
    private boolean isReadable(Path file, BasicFileAttributes attributes) {
      if (!attributes.isSymbolicLink()) {
        return attributes.isRegularFile();
      }
      try {
        return Files.isRegularFile(file)
            && file.toRealPath().startsWith(project.root().toRealPath());
      } catch (IOException leadsNowhere) {
        return false;
      }
    }

    private final class Visitor extends SimpleFileVisitor<Path> {
      @Override
      public FileVisitResult preVisitDirectory(Path folder, BasicFileAttributes attributes) {
        boolean skip = !folder.equals(root) && folder.getFileName().toString().startsWith(".");
        return skip ? FileVisitResult.SKIP_SUBTREE : FileVisitResult.CONTINUE;
      }

      @Override
      public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
        file(file, attributes);
        return FileVisitResult.CONTINUE;
      }

      @Override
      public FileVisitResult visitFileFailed(Path file, IOException e) throws IOException {
        if (file.equals(root)) {
          throw e;
        }
        odd.add(project.relative(file));
        return FileVisitResult.CONTINUE;
      }
    }
  }
}
