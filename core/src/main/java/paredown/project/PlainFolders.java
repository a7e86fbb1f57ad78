package paredown.project;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** Plain folders are sources without a build: {@code src}, {@code test} and {@code lib}. */
final class PlainFolders {
  private PlainFolders() {}

  /** The folder as one module, or as one for each folder of it that a Maven build would read. */
  static List<Module> modules(Path root) {
    List<Module> modules =
        BuildCache.buildFiles(root).stream()
            .filter(file -> file.startsWith(root) && file.endsWith("pom.xml"))
            .map(Path::getParent)
            .filter(folder -> Files.isDirectory(folder.resolve("src")))
            .map(PlainFolders::module)
            .toList();
    return modules.isEmpty() ? List.of(module(root)) : modules;
  }

  static Module module(Path root) {
    Path standardMain = root.resolve("src/main/java");
    Path standardTest = root.resolve("src/test/java");
    boolean standard = Files.isDirectory(standardMain);
    List<Path> main = existing(standard ? standardMain : root.resolve("src"));
    List<Path> test =
        existing(Files.isDirectory(standardTest) ? standardTest : root.resolve("test"));
    if (!standard && Files.isDirectory(standardTest)) {
      main = List.of();
    }
    if (main.isEmpty() && test.isEmpty()) {
      main = List.of(root);
    }
    return new Module(
        root.getFileName() == null ? "project" : root.getFileName().toString(),
        root,
        main,
        test,
        List.of(),
        archives(root.resolve("lib")),
        0,
        StandardCharsets.UTF_8);
  }

  private static List<Path> existing(Path folder) {
    return Files.isDirectory(folder) ? List.of(folder) : List.of();
  }

  private static List<Path> archives(Path folder) {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> entries = Files.list(folder)) {
      return entries.filter(entry -> entry.toString().endsWith(".jar")).sorted().toList();
    } catch (IOException e) {
      throw new ProjectUnreadable(
          "The folder " + folder + " cannot be read.", "Check its permissions.", e);
    }
  }
}
