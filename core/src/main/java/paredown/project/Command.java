package paredown.project;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/**
 * A command is another program that is run to its end, with all that it prints.
 *
 * @param words the program and its arguments
 * @param directory where it runs
 * @param environment what it finds in its environment besides what this program has
 */
public record Command(List<String> words, Path directory, Map<String, String> environment) {

  public Command {
    words = List.copyOf(words);
    environment = Map.copyOf(environment);
  }

  /** A command in the environment that this program has. */
  public Command(List<String> words, Path directory) {
    this(words, directory, Map.of());
  }

  /**
   * What a command left behind.
   *
   * @param exit its exit code; -1 where it ran out of time
   * @param output all that it printed, errors among it
   */
  public record Outcome(int exit, String output) {
    public boolean inTime() {
      return exit != -1;
    }

    /** Whether it ran out of time, or says itself that it did not do what it should. */
    public boolean failed() {
      return exit != 0;
    }
  }

  /**
   * Runs the command. An interruption, and the end of this program, end it with all its children.
   *
   * @throws IOException where it cannot be started
   */
  public Outcome run(Duration limit) throws IOException, InterruptedException {
    // A file, and no pipe: what a command leaves running in the background may keep it open.
    Path printed = Files.createTempFile("pare-output", ".txt");
    try {
      ProcessBuilder builder =
          new ProcessBuilder(words)
              .directory(directory.toFile())
              .redirectErrorStream(true)
              .redirectOutput(printed.toFile())
              .redirectInput(ProcessBuilder.Redirect.from(nothing()));
      builder.environment().putAll(environment);
      Process process = builder.start();
      try (AtExit atExit = AtExit.run(() -> end(process))) {
        int exit = exit(process, limit);
        return new Outcome(exit, text(printed));
      }
    } finally {
      Files.deleteIfExists(printed);
    }
  }

  private static int exit(Process process, Duration limit) throws InterruptedException {
    try {
      if (!process.waitFor(limit.toMillis(), TimeUnit.MILLISECONDS)) {
        end(process);
        process.waitFor();
        return -1;
      }
      return process.exitValue();
    } catch (InterruptedException e) {
      end(process);
      throw e;
    }
  }

  private static java.io.File nothing() {
    boolean windows = System.getProperty("os.name").startsWith("Windows");
    return new java.io.File(windows ? "NUL" : "/dev/null");
  }

  private static String text(Path printed) throws IOException {
    return new String(Files.readAllBytes(printed), Charset.defaultCharset());
  }

  private static void end(Process process) {
    process.descendants().forEach(ProcessHandle::destroyForcibly);
    process.destroyForcibly();
  }
}
