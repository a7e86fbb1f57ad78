package paredown.project;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The root of a project: the folder of the outermost build that includes a place. */
final class ProjectRoot {
  private static final Pattern MODULE = Pattern.compile("<module>\\s*([^<]+?)\\s*</module>");

  private ProjectRoot() {}

  static Path of(Path start) {
    Path place = real(start);
    for (Path at = place; at != null; at = at.getParent()) {
      if (Files.isRegularFile(at.resolve("pom.xml"))) {
        return outermost(at);
      }
      if (Files.isRegularFile(at.resolve(Settings.FILE)) || Files.isDirectory(at.resolve("src"))) {
        return at;
      }
    }
    return place;
  }

  private static Path outermost(Path build) {
    Path root = build;
    for (Path at = build.getParent(); at != null; at = at.getParent()) {
      if (lists(at.resolve("pom.xml"), root)) {
        root = at;
      }
    }
    return root;
  }

  private static boolean lists(Path pom, Path module) {
    if (!Files.isRegularFile(pom)) {
      return false;
    }
    try {
      Matcher modules = MODULE.matcher(Files.readString(pom));
      while (modules.find()) {
        Path named = pom.resolveSibling(modules.group(1)).normalize();
        if (named.equals(module) || named.equals(module.resolve("pom.xml"))) {
          return true;
        }
      }
      return false;
    } catch (IOException unreadable) {
      return false;
    }
  }

  private static Path real(Path start) {
    try {
      return start.toRealPath();
    } catch (IOException e) {
      throw new ProjectUnreadable(
          "The folder " + start + " cannot be read.", "Check its permissions.", e);
    }
  }
}
