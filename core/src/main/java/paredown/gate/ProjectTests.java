package paredown.gate;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import paredown.project.BuildTool;
import paredown.project.Command;
import paredown.project.MavenCommand;
import paredown.project.Module;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.project.Settings;

/** The tests of a project, run the way its own build runs them, or by the user's test command. */
public final class ProjectTests {
  private final Project project;
  private final Progress progress;

  /**
   * The tests of a project.
   *
   * @param progress is told how far a run is
   */
  public ProjectTests(Project project, Progress progress) {
    this.project = project;
    this.progress = progress;
  }

  /** Whether anybody has said how the tests are run. */
  public boolean canRun() {
    return project.tool() == BuildTool.MAVEN || project.settings().testCommand().isPresent();
  }

  /** The command as the user would type it. */
  public String command() {
    return project
        .settings()
        .testCommand()
        .orElse(MavenCommand.program(project.root()).endsWith("mvnw") ? "./mvnw test" : "mvn test");
  }

  /**
   * Runs all tests.
   *
   * @throws TestProblem where they do not compile, do not start, or take too long
   */
  public TestRun run() throws InterruptedException {
    return run(words(List.of()), Map.of());
  }

  /**
   * Runs all tests, each class of them in a process of its own where the build lets it.
   *
   * @param environment what the processes find in their environment
   * @throws TestProblem where they do not compile, do not start, or take too long
   */
  public TestRun apart(Map<String, String> environment) throws InterruptedException {
    return run(words(List.of("-DforkCount=1", "-DreuseForks=false")), environment);
  }

  /** Runs one test again, alone; empty where it cannot be run alone. */
  public Optional<TestRun> rerun(TestResult test) throws InterruptedException {
    if (project.settings().testCommand().isPresent()) {
      return Optional.empty();
    }
    String selector = test.family().replaceAll("\\$.*#", "#");
    return Optional.of(
        run(
            words(
                List.of(
                    "-Dtest=" + selector,
                    "-DfailIfNoTests=false",
                    "-Dsurefire.failIfNoSpecifiedTests=false")),
            Map.of()));
  }

  private List<String> words(List<String> more) {
    Optional<String> own = project.settings().testCommand();
    if (own.isPresent()) {
      boolean windows = System.getProperty("os.name").startsWith("Windows");
      return windows ? List.of("cmd", "/c", own.get()) : List.of("sh", "-c", own.get());
    }
    List<String> words =
        new ArrayList<>(
            MavenCommand.words(
                project.root(), "-o", "test", "-Dmaven.test.failure.ignore=true", "-fae"));
    words.addAll(more);
    return words;
  }

  private TestRun run(List<String> words, Map<String, String> environment)
      throws InterruptedException {
    try {
      TestReports reports = new TestReports(reportFolders());
      progress.soFar(reports::soFar);
      Command.Outcome outcome =
          new Command(words, project.root(), environment).run(project.settings().testTimeout());
      if (!outcome.inTime()) {
        throw new TestProblem(
            "The tests took more than %s."
                .formatted(project.settings().testTimeout().toString().substring(2).toLowerCase()),
            "Allow them more with test-timeout: in " + Settings.FILE + ".");
      }
      List<TestResult> results = reports.results();
      boolean own = project.settings().testCommand().isPresent();
      if (own && results.isEmpty()) {
        return whole(outcome);
      }
      if (outcome.failed() && results.stream().noneMatch(TestResult::failed)) {
        throw complaint(outcome.output());
      }
      return new TestRun(results);
    } catch (IOException e) {
      throw new TestProblem(
          "The tests cannot be started: " + e.getMessage() + ".",
          "Check that " + command() + " runs here.");
    }
  }

  private TestRun whole(Command.Outcome outcome) {
    boolean passed = outcome.exit() == 0;
    String printed = outcome.output().strip().lines().reduce("", (before, line) -> line);
    String exit = "exit code " + outcome.exit();
    String last = printed.isEmpty() ? exit : exit + ": " + printed;
    TestResult.Status status = passed ? TestResult.Status.PASSED : TestResult.Status.FAILED;
    return new TestRun(
        List.of(new TestResult(TestRun.WHOLE + "#" + command(), status, passed ? "" : last, "")));
  }

  private List<Path> reportFolders() {
    List<String> own = project.settings().testReports();
    if (!own.isEmpty()) {
      return own.stream().map(project.root()::resolve).toList();
    }
    return project.modules().stream()
        .map(Module::directory)
        .map(directory -> directory.resolve("target/surefire-reports"))
        .toList();
  }

  private TestProblem complaint(String output) {
    String first =
        output
            .lines()
            .filter(line -> line.startsWith("[ERROR]"))
            .map(line -> line.substring("[ERROR]".length()).strip())
            .filter(line -> !line.isEmpty() && !line.equals("COMPILATION ERROR :"))
            .findFirst()
            .orElseGet(() -> output.strip().lines().reduce("", (before, line) -> line))
            .replace(project.root() + "/", "");
    boolean offline =
        output.contains("offline mode")
            || output.contains("has not been downloaded from it before");
    return new TestProblem(
        "The tests did not run: " + first,
        offline
            ? "Something is missing without the network. Run "
                + command()
                + " once, then try again."
            : "Mend that until " + command() + " runs.");
  }
}
