package paredown.project;

import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.SourceVersion;
import javax.tools.JavaCompiler;
import javax.tools.ToolProvider;

/** The Java releases that the running JDK's compiler understands. */
final class JavaReleases {
  private JavaReleases() {}

  static boolean known(int release) {
    return versions(ToolProvider.getSystemJavaCompiler()).contains(release);
  }

  private static Set<Integer> versions(JavaCompiler compiler) {
    int oldest = Runtime.version().feature() >= 20 ? 8 : 7;
    return compiler.getSourceVersions().stream()
        .map(SourceVersion::ordinal)
        .filter(release -> release >= oldest)
        .collect(Collectors.toSet());
  }

  static String whichWould(int release) {
    int newest =
        Arrays.stream(SourceVersion.values()).mapToInt(SourceVersion::ordinal).max().orElse(0);
    return release > newest
        ? "Run pare with JDK " + release + " or later: let JAVA_HOME point to it."
        : "JDK 17 still compiles Java 7 and later: let JAVA_HOME point to one, or set the release"
            + " in pare.yaml to one that this JDK knows.";
  }
}
