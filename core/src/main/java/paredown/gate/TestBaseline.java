package paredown.gate;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.project.Fingerprint;
import paredown.project.Project;
import paredown.project.Workspace;

/** A baseline is the last test run of a project as it stands, known by the content of its files. */
public final class TestBaseline {
  private static final Set<String> NOT_SOURCE = Set.of("target", "build", "out", "node_modules");

  private final Workspace workspace;
  private final String name;

  private TestBaseline(Workspace workspace, String name) {
    this.workspace = workspace;
    this.name = name;
  }

  /** The baseline of a project's files as they are now. */
  public static TestBaseline now(Project project) {
    Fingerprint fingerprint = new Fingerprint();
    fingerprint.add(System.getProperty("java.home"));
    fingerprint.add(project.settings().testCommand().orElse("mvn"));
    for (Path file : files(project.root())) {
      fingerprint.add(file);
    }
    return new TestBaseline(new Workspace(project.root()), "tests-" + fingerprint.hex(16));
  }

  private static Set<Path> files(Path root) {
    Set<Path> files = new TreeSet<>();
    try {
      Files.walkFileTree(
          root,
          new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult preVisitDirectory(Path folder, BasicFileAttributes attributes) {
              String folderName = String.valueOf(folder.getFileName());
              boolean skip = NOT_SOURCE.contains(folderName) || folderName.startsWith(".");
              return skip && !folder.equals(root)
                  ? FileVisitResult.SKIP_SUBTREE
                  : FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
              if (attributes.isRegularFile()) {
                files.add(file);
              }
              return FileVisitResult.CONTINUE;
            }
          });
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return files;
  }

  public Optional<TestRun> read() {
    return workspace.cached(name).map(bytes -> parse(new String(bytes, StandardCharsets.UTF_8)));
  }

  public void write(TestRun run) {
    StringBuilder text = new StringBuilder();
    for (TestResult result : run.results()) {
      text.append(result.status()).append('\t').append(line(result.name())).append('\t');
      text.append(line(result.message())).append('\t').append(result.place()).append('\n');
    }
    workspace.cache(name, text.toString().getBytes(StandardCharsets.UTF_8));
  }

  private static String line(String text) {
    return text.replace('\t', ' ').replace('\n', ' ').replace('\r', ' ');
  }

  private static TestRun parse(String text) {
    List<TestResult> results = new ArrayList<>();
    for (String line : text.lines().toList()) {
      String[] parts = line.split("\t", -1);
      TestResult.Status status = TestResult.Status.valueOf(parts[0]);
      results.add(new TestResult(parts[1], status, parts[2], parts[3]));
    }
    return new TestRun(results);
  }
}
