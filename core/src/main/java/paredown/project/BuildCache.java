package paredown.project;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/** The build cache keeps what a build answered, under a name made from its build files' content. */
final class BuildCache {
  private static final String SEPARATOR = "\n=====pare=====\n";

  private final Workspace workspace;
  private final String name;

  private BuildCache(Workspace workspace, String name) {
    this.workspace = workspace;
    this.name = name;
  }

  static BuildCache of(Path root) {
    Fingerprint fingerprint = new Fingerprint();
    fingerprint.add(MavenBuild.EFFECTIVE_POM + MavenBuild.CLASS_PATH);
    fingerprint.add(String.valueOf(System.getenv("MAVEN_ARGS")));
    fingerprint.add(System.getProperty("java.home"));
    for (Path file : buildFiles(root)) {
      fingerprint.add(file);
    }
    return new BuildCache(new Workspace(root), "build-" + fingerprint.hex(16));
  }

  /** The files that decide what a build consists of; the user's own Maven settings among them. */
  static List<Path> buildFiles(Path root) {
    TreeSet<Path> files = new TreeSet<>();
    try {
      Files.walkFileTree(root, new BuildFiles(root, files));
    } catch (IOException e) {
      throw new ProjectUnreadable(
          "The folder " + root + " cannot be read.", "Check its permissions.", e);
    }
    Path settings = Path.of(System.getProperty("user.home"), ".m2", "settings.xml");
    if (Files.isReadable(settings)) {
      files.add(settings);
    }
    return List.copyOf(files);
  }

  Optional<MavenAnswer> read() {
    return workspace
        .cached(name)
        .map(bytes -> new String(bytes, StandardCharsets.UTF_8))
        .map(text -> text.split(SEPARATOR, -1))
        .filter(parts -> parts.length == 2)
        .map(parts -> new MavenAnswer(parts[0], parts[1]));
  }

  void write(MavenAnswer answer) {
    String text = answer.effectivePom() + SEPARATOR + answer.output();
    workspace.cache(name, text.getBytes(StandardCharsets.UTF_8));
  }

  /** Collects the build files below a folder, and passes over what builds and tools write. */
  private static final class BuildFiles extends SimpleFileVisitor<Path> {
    private final Path root;
    private final TreeSet<Path> found;

    BuildFiles(Path root, TreeSet<Path> found) {
      this.root = root;
      this.found = found;
    }

    @Override
    public FileVisitResult preVisitDirectory(Path folder, BasicFileAttributes attributes) {
      String name = String.valueOf(folder.getFileName());
      boolean hidden = name.startsWith(".") && !name.equals(".mvn");
      boolean sources = name.equals("src") || name.equals("target") || name.equals("node_modules");
      return !folder.equals(root) && (hidden || sources)
          ? FileVisitResult.SKIP_SUBTREE
          : FileVisitResult.CONTINUE;
    }

    @Override
    public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
      String name = file.getFileName().toString();
      boolean maven = file.getParent().getFileName().toString().equals(".mvn");
      if (name.equals("pom.xml") || maven && attributes.size() < 100_000) {
        found.add(file);
      }
      return FileVisitResult.CONTINUE;
    }

    @Override
    public FileVisitResult visitFileFailed(Path file, IOException e) {
      return FileVisitResult.CONTINUE;
    }
  }
}
