package paredown.gate.quick;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import paredown.gate.TemporaryFolder;
import paredown.gate.TestResult;
import paredown.gate.TestRun;
import paredown.program.Sources;
import paredown.project.Command;
import paredown.project.Module;
import paredown.project.Project;
import paredown.project.SourceFile;
import paredown.text.SourceText;

/**
 * Quick tests are some classes of tests that run in one process, on the classes that the build has
 * compiled and on some files that are compiled anew. They need JUnit 5, whose launcher stands where
 * Maven keeps it.
 *
 * @param launcher the archives of the launcher
 */
public record QuickTests(Project project, Set<Path> launcher) {
  /** Only named, for it needs classes that this program lacks. */
  private static final String RUNNER = "paredown.gate.quick.QuickRunner";

  private static final String RUNNER_FILE = "/" + RUNNER.replace('.', '/') + ".class";

  /** The quick tests of a project; empty where it has no JUnit 5, or was never built. */
  public static Optional<QuickTests> of(Project project) {
    Set<Path> launcher = new LinkedHashSet<>();
    for (Module module : project.modules()) {
      module.classPath().forEach(archive -> beside(archive).forEach(launcher::add));
    }
    boolean there =
        launcher.stream().anyMatch(each -> each.toString().contains("junit-platform-launcher"));
    boolean built = project.modules().stream().anyMatch(each -> Files.isDirectory(tests(each)));
    return there && built ? Optional.of(new QuickTests(project, launcher)) : Optional.empty();
  }

  /** What stands beside an archive of JUnit in Maven's repository, and tests need to run. */
  private static List<Path> beside(Path archive) {
    String name = archive.getFileName().toString();
    return name.startsWith("junit-platform-engine-")
        ? sibling(archive, "junit-platform-launcher")
        : name.startsWith("junit-jupiter-api-")
            ? sibling(archive, "junit-jupiter-engine")
            : List.of();
  }

  private static List<Path> sibling(Path archive, String artifact) {
    Path folder = archive.getParent();
    if (folder == null || folder.getParent() == null || folder.getParent().getParent() == null) {
      return List.of();
    }
    String version = folder.getFileName().toString();
    Path found =
        folder
            .getParent()
            .resolveSibling(artifact)
            .resolve(version)
            .resolve("%s-%s.jar".formatted(artifact, version));
    return Files.isRegularFile(found) ? List.of(found) : List.of();
  }

  private static Path tests(Module module) {
    return module.directory().resolve("target/test-classes");
  }

  /**
   * Runs some classes of tests.
   *
   * @param sources as they are then
   * @param changed the files to be compiled anew
   * @param classes the files of the classes of tests
   * @return empty where that is not possible without the build
   */
  public Optional<TestRun> run(
      Sources sources, Set<String> changed, Set<String> classes, Duration limit)
      throws InterruptedException {
    try (TemporaryFolder folder = TemporaryFolder.named("pare-quick")) {
      return run(sources, changed, classes, limit, folder.path());
    } catch (IOException unwritable) {
      throw new UncheckedIOException(unwritable);
    }
  }

  private Optional<TestRun> run(
      Sources sources, Set<String> changed, Set<String> classes, Duration limit, Path folder)
      throws IOException, InterruptedException {
    Path fresh = Files.createDirectory(folder.resolve("classes"));
    List<Path> classPath = new ArrayList<>(List.of(fresh));
    for (Module module : project.modules()) {
      classPath.add(tests(module));
      classPath.add(module.directory().resolve("target/classes"));
    }
    project.modules().forEach(module -> classPath.addAll(module.classPath()));
    Set<String> anew = new TreeSet<>(changed);
    anew.addAll(stale(sources));
    List<SourceText> texts =
        anew.stream()
            .filter(path -> path.endsWith(".java") && !path.endsWith("-info.java"))
            .filter(path -> sources.file(path).isPresent())
            .map(sources::text)
            .toList();
    if (!texts.isEmpty()
        && !CompiledFiles.into(fresh, texts, project.modules().get(0), classPath)) {
      return Optional.empty();
    }
    runner(folder);
    classPath.addAll(launcher);
    classPath.add(folder);
    List<TestResult> all = new ArrayList<>();
    for (Map.Entry<Module, Set<String>> each : byModule(sources, classes).entrySet()) {
      Path results = folder.resolve("results");
      List<String> words = new ArrayList<>(java(classPath));
      words.add(results.toString());
      words.addAll(each.getValue());
      Command.Outcome outcome = new Command(words, each.getKey().directory()).run(limit);
      if (!outcome.inTime()) {
        all.add(
            new TestResult(
                each.getValue().iterator().next() + "#",
                TestResult.Status.FAILED,
                "took more than " + limit.toSeconds() + " s",
                ""));
        continue;
      }
      if (outcome.failed() || !Files.exists(results)) {
        return Optional.empty();
      }
      Files.readAllLines(results).forEach(line -> all.add(result(line)));
      Files.delete(results);
    }
    return Optional.of(new TestRun(all));
  }

  /** The files that the build has not compiled as they are, and those that name their types. */
  private static Set<String> stale(Sources sources) throws IOException {
    Set<String> stale = new TreeSet<>();
    for (SourceFile file : sources.files()) {
      Path compiled =
          (file.kind() == SourceFile.Kind.TEST
                  ? tests(file.module())
                  : file.module().directory().resolve("target/classes"))
              .resolve(ReachingTests.name(sources, file.path()).replace('.', '/') + ".class");
      boolean other =
          Files.exists(file.file())
              && (!Files.exists(compiled)
                  || Files.getLastModifiedTime(compiled)
                          .compareTo(Files.getLastModifiedTime(file.file()))
                      < 0);
      if (other) {
        stale.add(file.path());
      }
    }
    Set<String> words = new TreeSet<>();
    stale.forEach(each -> words.add(ReachingTests.simple(each)));
    if (!words.isEmpty()) {
      stale.addAll(sources.index().filesWith(words));
    }
    return stale;
  }

  private static List<String> java(List<Path> classPath) {
    return List.of(
        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
        "-XX:TieredStopAtLevel=1",
        "-XX:+UseSerialGC",
        "-cp",
        classPath.stream().map(Path::toString).collect(Collectors.joining(File.pathSeparator)),
        RUNNER);
  }

  /** The runner stands alone, so that nothing else of this program is among the tests' classes. */
  private static void runner(Path folder) throws IOException {
    Path file = folder.resolve(RUNNER_FILE.substring(1));
    Files.createDirectories(file.getParent());
    try (InputStream own = QuickTests.class.getResourceAsStream(RUNNER_FILE)) {
      Files.copy(own, file);
    }
  }

  private static Map<Module, Set<String>> byModule(Sources sources, Set<String> classes) {
    Map<Module, Set<String>> byModule = new TreeMap<>(Comparator.comparing(Module::directory));
    for (String path : classes) {
      Optional<SourceFile> file = sources.file(path);
      file.ifPresent(
          each ->
              byModule
                  .computeIfAbsent(each.module(), module -> new TreeSet<>())
                  .add(ReachingTests.name(sources, path)));
    }
    return byModule;
  }

  private static TestResult result(String line) {
    String[] parts = line.split("\t", -1);
    return new TestResult(parts[0], TestResult.Status.valueOf(parts[1]), parts[2], "");
  }
}
