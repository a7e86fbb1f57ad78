package paredown.project;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.UnsupportedCharsetException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.PathMatcher;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.PatternSyntaxException;

/**
 * The settings are what the user wrote in {@code pare.yaml}; every key is optional.
 *
 * @param sources source roots instead of the build's; empty where the build's hold
 * @param tests test roots instead of the build's
 * @param classPath archives and folders of classes in addition to the build's
 * @param release the Java release instead of the build's
 * @param encoding the encoding instead of the build's
 * @param testCommand runs all the tests, through the system's shell
 * @param testReports folders in which the test command leaves JUnit XML reports
 * @param testTimeout how long a test run may take
 * @param exclude glob patterns of files that are not looked at
 * @param history how many commits are looked at
 * @param strict whether changes that rest on assumptions are refused
 * @param limits thresholds by name, see {@code paredown.smell.Limits}
 * @param text the file as it was written
 */
public record Settings(
    List<String> sources,
    List<String> tests,
    List<String> classPath,
    Optional<Integer> release,
    Optional<Charset> encoding,
    Optional<String> testCommand,
    List<String> testReports,
    Duration testTimeout,
    List<String> exclude,
    int history,
    boolean strict,
    Map<String, Integer> limits,
    String text) {

  /** The name of the file, in the project's root. */
  public static final String FILE = "pare.yaml";

  /** How long a test run may take where nothing else is set. */
  public static final Duration DEFAULT_TEST_TIMEOUT = Duration.ofMinutes(30);

  /** How many commits are looked at where nothing else is set. */
  public static final int DEFAULT_HISTORY = 500;

  /** Settings in which nothing is set. */
  public static Settings none() {
    return of(new SettingsFile(Map.of(), ""));
  }

  /**
   * Reads the settings of a project; nothing is set where there is no such file.
   *
   * @throws ProjectUnreadable where a key is unknown or a value impossible
   */
  public static Settings read(Path root) {
    Path file = root.resolve(FILE);
    if (!Files.exists(file)) {
      return none();
    }
    if (!Files.isRegularFile(file)) {
      throw new ProjectUnreadable(FILE + " is no file.", "Write your settings into a file.");
    }
    try {
      return of(SettingsFile.parse(Files.readString(file)));
    } catch (CharacterCodingException e) {
      throw new ProjectUnreadable(FILE + " is not written in UTF-8.", "Save it as UTF-8.", e);
    } catch (IOException e) {
      throw new ProjectUnreadable(FILE + " cannot be read.", "Check its permissions.", e);
    }
  }

  private static Settings of(SettingsFile file) {
    return new Settings(
        file.texts("sources"),
        file.texts("tests"),
        file.texts("class-path"),
        file.number("release"),
        file.text("encoding").map(name -> charset(file, name)),
        file.text("test-command").map(text -> command(file, text)),
        file.texts("test-reports"),
        file.text("test-timeout").map(text -> duration(file, text)).orElse(DEFAULT_TEST_TIMEOUT),
        globs(file, file.texts("exclude")),
        file.number("history").orElse(DEFAULT_HISTORY),
        file.flag("strict"),
        file.numbers("limits"),
        file.text());
  }

  /** Where a key stands, as {@code :LINE}, for complaints about it. */
  public String lineOf(String key) {
    return ":" + SettingsFile.line(text, key);
  }

  private static Duration duration(SettingsFile file, String text) {
    if (!text.matches("[1-9]\\d{0,5}[smh]")) {
      throw file.wrong("test-timeout", text + " is no time", "Write 90s, 30m or 2h, for example.");
    }
    return Duration.parse("PT" + text);
  }

  private static String command(SettingsFile file, String text) {
    if (text.isBlank()) {
      throw file.wrong(
          "test-command", "no command is given", "Write test-command: make test, for example.");
    }
    return text;
  }

  private static List<String> globs(SettingsFile file, List<String> patterns) {
    for (String pattern : patterns) {
      try {
        FileSystems.getDefault().getPathMatcher("glob:" + pattern);
      } catch (PatternSyntaxException e) {
        throw file.wrong(
            "exclude", pattern + " is no pattern", "Write \"**/generated/**\", for example.");
      }
    }
    return patterns;
  }

  private static Charset charset(SettingsFile file, String name) {
    try {
      Charset charset = Charset.forName(name);
      if (!charset.canEncode()) {
        throw file.wrong(
            "encoding", "nothing can be written in " + name, "Use UTF-8, for example.");
      }
      return charset;
    } catch (IllegalCharsetNameException | UnsupportedCharsetException unknown) {
      throw file.wrong("encoding", "there is no encoding " + name, "Use UTF-8, for example.");
    }
  }

  /** Whether a file of the project is to be left out. */
  public boolean excludes(String relative) {
    return exclude.stream()
        .map(pattern -> FileSystems.getDefault().getPathMatcher("glob:" + pattern))
        .anyMatch(matcher -> matches(matcher, relative));
  }

  private static boolean matches(PathMatcher matcher, String relative) {
    return matcher.matches(Path.of(relative));
  }

  List<Module> overriding(Path root, List<Module> modules) {
    return modules.stream().map(module -> overriding(root, module)).toList();
  }

  private Module overriding(Path root, Module module) {
    boolean atRoot = module.directory().equals(root);
    return new Module(
        module.name(),
        module.directory(),
        atRoot && !sources.isEmpty() ? resolved(root, sources) : module.mainRoots(),
        atRoot && !tests.isEmpty() ? resolved(root, tests) : module.testRoots(),
        module.generatedRoots(),
        joined(module.classPath(), resolved(root, classPath)),
        release.orElse(module.release()),
        encoding.orElse(module.encoding()));
  }

  private static List<Path> joined(List<Path> one, List<Path> other) {
    return java.util.stream.Stream.concat(one.stream(), other.stream()).toList();
  }

  private static List<Path> resolved(Path root, List<String> names) {
    return names.stream().map(name -> existing(root, name)).toList();
  }

  private static Path existing(Path root, String name) {
    Path path;
    try {
      path = root.resolve(name).normalize();
    } catch (InvalidPathException e) {
      throw new ProjectUnreadable(
          FILE + " names a path that no file can have.", "Correct the path.", e);
    }
    if (!Files.isRegularFile(path) && !Files.isDirectory(path)) {
      throw new ProjectUnreadable(
          FILE + " names " + name + ", which is not there.",
          "Correct the path; it is relative to the folder of " + FILE + ".");
    }
    return path;
  }
}
