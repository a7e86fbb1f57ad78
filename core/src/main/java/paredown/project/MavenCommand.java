package paredown.project;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * The Maven command is the project's own wrapper where it has one, the installed Maven elsewhere.
 */
public final class MavenCommand {
  private MavenCommand() {}

  /** The words that start Maven for a project, without its output's colours and questions. */
  public static List<String> words(Path root, String... arguments) {
    List<String> words = new ArrayList<>();
    words.add(program(root));
    words.add("-B");
    words.add("-Dstyle.color=never");
    words.addAll(List.of(arguments));
    return words;
  }

  /** The program as the user would type it in the project's root. */
  public static String program(Path root) {
    boolean windows = System.getProperty("os.name").startsWith("Windows");
    Path wrapper = root.resolve(windows ? "mvnw.cmd" : "mvnw");
    if (Files.isExecutable(wrapper)) {
      return wrapper.toString();
    }
    return windows ? "mvn.cmd" : "mvn";
  }
}
