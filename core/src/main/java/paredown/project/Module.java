package paredown.project;

import java.nio.charset.Charset;
import java.nio.file.Path;
import java.util.List;

/**
 * A module is one unit of a build: its source roots and what they are compiled with.
 *
 * @param name the name its build gives it
 * @param directory where it is
 * @param mainRoots source roots of its product code
 * @param testRoots source roots of its tests
 * @param generatedRoots source roots that the build writes: read, never edited
 * @param classPath archives and folders of classes that its sources and tests need
 * @param release the Java release of its sources; 0 where the running JDK's is meant
 */
public record Module(
    String name,
    Path directory,
    List<Path> mainRoots,
    List<Path> testRoots,
    List<Path> generatedRoots,
    List<Path> classPath,
    int release,
    Charset encoding) {

  public Module {
    mainRoots = List.copyOf(mainRoots);
    testRoots = List.copyOf(testRoots);
    generatedRoots = List.copyOf(generatedRoots);
    classPath = List.copyOf(classPath);
  }

  /** The source roots of one kind of source. */
  List<Path> roots(SourceFile.Kind kind) {
    return switch (kind) {
      case MAIN -> mainRoots;
      case TEST -> testRoots;
      case GENERATED -> generatedRoots;
    };
  }

  /**
   * The Java release whose language its sources are written in: the running JDK's where none is
   * named.
   */
  public int language() {
    return release == 0 ? Runtime.version().feature() : release;
  }
}
