package paredown.project;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * A project is the user's code: the outermost build that includes the place asked about.
 *
 * @param root the folder of that build, absolute and free of links
 * @param modules at least one; all modules of the build together
 */
public record Project(Path root, BuildTool tool, List<Module> modules, Settings settings) {

  public Project {
    modules = List.copyOf(modules);
  }

  /**
   * Finds and reads the project that includes a folder.
   *
   * @throws ProjectUnreadable where there is none, or its build cannot be understood
   */
  public static Project at(Path start, Progress progress) {
    return at(start, progress, true);
  }

  /**
   * The same, where its build need not be asked.
   *
   * @param build whether the build may be asked for its modules and class path, which runs it;
   *     without it they are taken from the folders and from the settings
   */
  public static Project at(Path start, Progress progress, boolean build) {
    Path root = root(start);
    Settings settings = Settings.read(root);
    boolean maven = Files.isRegularFile(root.resolve("pom.xml"));
    List<Module> modules =
        maven && build ? new MavenBuild(root, progress).modules() : PlainFolders.modules(root);
    Project project =
        new Project(
            root,
            maven ? BuildTool.MAVEN : BuildTool.FOLDERS,
            settings.overriding(root, modules),
            settings);
    project.requireReleases();
    return project;
  }

  /** A project of which only its folder matters: neither build nor settings are read. */
  public static Project folder(Path start) {
    Path root = root(start);
    return new Project(
        root, BuildTool.FOLDERS, List.of(PlainFolders.module(root)), Settings.none());
  }

  private static Path root(Path start) {
    if (!Files.isDirectory(start)) {
      throw new ProjectUnreadable(
          "There is no folder " + start + ".", "Name the project's folder with --project.");
    }
    return ProjectRoot.of(start);
  }

  /** A path of the project as it is shown and stored: relative to the root, forward slashes. */
  public String relative(Path file) {
    return root.relativize(file.toAbsolutePath().normalize()).toString().replace('\\', '/');
  }

  private void requireReleases() {
    int newest = Runtime.version().feature();
    for (Module module : modules) {
      int release = module.release();
      boolean known = release == 0 || JavaReleases.known(release);
      if (!known) {
        throw new ProjectUnreadable(
            "%s is written for Java %d, which the running JDK %d does not compile."
                .formatted(module.name(), release, newest),
            JavaReleases.whichWould(release));
      }
    }
  }
}
