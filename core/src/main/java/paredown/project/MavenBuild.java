package paredown.project;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * A Maven build, asked by its own command what it consists of; the answer is kept while it holds.
 */
final class MavenBuild {
  static final String EFFECTIVE_POM =
      "org.apache.maven.plugins:maven-help-plugin:3.5.1:effective-pom";
  static final String CLASS_PATH =
      "org.apache.maven.plugins:maven-dependency-plugin:3.8.1:build-classpath";
  private static final Duration LIMIT = Duration.ofMinutes(10);

  private final Path root;
  private final Progress progress;

  MavenBuild(Path root, Progress progress) {
    this.root = root;
    this.progress = progress;
  }

  List<Module> modules() {
    BuildCache cache = BuildCache.of(root);
    Optional<MavenAnswer> known = cache.read();
    if (known.isPresent() && known.get().archivesExist()) {
      return known.get().modules(root);
    }
    MavenAnswer answer = ask();
    List<Module> modules = answer.modules(root);
    cache.write(answer);
    return modules;
  }

  private MavenAnswer ask() {
    progress.said(
        "Asking the build of this project for its class path: this runs "
            + MavenCommand.program(root)
            + (Files.isDirectory(root.resolve(".mvn")) ? ", with what .mvn sets" : "")
            + " (--without-build goes without).");
    progress.doing("asking Maven for the class path");
    try {
      Path pom = Files.createTempFile("pare", ".xml");
      try {
        Command.Outcome outcome = run(pom, EFFECTIVE_POM, CLASS_PATH);
        if (outcome.failed() && severalModules()) {
          // Siblings that were never installed are found once they are compiled.
          outcome = run(pom, "test-compile", EFFECTIVE_POM, CLASS_PATH);
        }
        if (outcome.failed()) {
          throw complaint(outcome);
        }
        return new MavenAnswer(Files.readString(pom), outcome.output());
      } finally {
        Files.deleteIfExists(pom);
      }
    } catch (IOException e) {
      throw new ProjectUnreadable(
          "Maven cannot be started: " + e.getMessage() + ".",
          "Install Maven so that mvn runs here, or give the class path in " + Settings.FILE + ".",
          e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new ProjectUnreadable("Asking Maven was interrupted.", "", e);
    }
  }

  private boolean severalModules() throws IOException {
    return Files.readString(root.resolve("pom.xml")).contains("<module>");
  }

  private Command.Outcome run(Path pom, String... goals) throws IOException, InterruptedException {
    String[] arguments = new String[goals.length + 2];
    arguments[0] = "-o";
    arguments[1] = "-Doutput=" + pom;
    System.arraycopy(goals, 0, arguments, 2, goals.length);
    return new Command(MavenCommand.words(root, arguments), root).run(LIMIT);
  }

  private ProjectUnreadable complaint(Command.Outcome outcome) {
    String output = outcome.output();
    String first =
        output
            .lines()
            .filter(line -> line.startsWith("[ERROR]") || line.startsWith("[FATAL]"))
            .map(line -> line.replaceAll("^(\\[(ERROR|FATAL)\\]\\s*)+", "").strip())
            .filter(line -> !line.isEmpty() && !line.startsWith("Some problems were encountered"))
            .findFirst()
            .orElse(outcome.inTime() ? "it said no more" : "it took more than ten minutes")
            .replaceAll("Cannot access .* in offline mode and the artifact", "the artifact")
            .replaceAll(" -> \\[Help.*", "")
            .replace(root + "/", "")
            .replaceAll("(?s)(.{300}).*", "$1…");
    boolean offline =
        output.contains("offline mode")
            || output.contains("has not been downloaded from it before");
    if (offline) {
      return new ProjectUnreadable(
          "Maven cannot give the class path without the network: " + first,
          "Run this once, in " + root + ", then try again:\n  " + onceOnline());
    }
    return new ProjectUnreadable(
        "Maven cannot read this build: " + first, "Mend pom.xml until mvn validate runs.");
  }

  private String onceOnline() {
    String program = MavenCommand.program(root).endsWith("mvnw") ? "./mvnw" : "mvn";
    return program + " -B test-compile " + EFFECTIVE_POM + " " + CLASS_PATH;
  }
}
