package paredown.gate;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import paredown.project.Fingerprint;
import paredown.project.Project;
import paredown.project.Workspace;
import paredown.project.WrittenFiles;

/** A baseline is the last test run of a project as it stands, known by the content of its files. */
public final class TestBaseline {
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
    for (Path file : WrittenFiles.below(project.root()).keySet()) {
      if (Files.isReadable(file)) {
        fingerprint.add(file);
      }
    }
    return new TestBaseline(new Workspace(project.root()), "tests-" + fingerprint.hex(16));
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
