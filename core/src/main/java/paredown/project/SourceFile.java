package paredown.project;

import java.io.File;
import java.nio.file.Path;

/**
 * A source file is one Java file of a project.
 *
 * @param path relative to the project's root, with forward slashes
 * @param file where it is
 * @param root the source root it is below
 */
public record SourceFile(String path, Path file, Path root, Module module, Kind kind) {

  /** The package that its folder stands for. */
  public String folder() {
    Path folder = root.relativize(file).getParent();
    return folder == null ? "" : folder.toString().replace(File.separatorChar, '.');
  }

  /** What a source file is for. */
  public enum Kind {
    MAIN,
    TEST,
    /** Written by the build, or excluded by the settings: read, never edited nor surveyed. */
    GENERATED
  }
}
