package paredown.cli;

import java.nio.file.Path;
import paredown.refactor.plan.Arguments;
import picocli.CommandLine.Option;

/** The options that every command takes. */
final class Common {
  @Option(
      names = "--project",
      paramLabel = "DIR",
      description = "A folder of the project; this one where none is given.")
  private Path directory = Path.of("");

  @Option(
      names = "--format",
      paramLabel = "FORMAT",
      description =
          "text (where nothing is said) or json; for a survey also sarif, html, markdown.")
  private String format = "text";

  @Option(
      names = "--without-build",
      description =
          "Do not ask the project's build for its class path, which would run it: sources are taken "
              + "from the usual folders, and archives from lib and from class-path: in pare.yaml.")
  private boolean withoutBuild;

  @Option(names = "--trace", description = "Show where in the program an error comes from.")
  private boolean trace;

  /** The option as it was typed; empty where it was not. */
  String typed() {
    String project =
        directory.toString().isEmpty()
            ? ""
            : " --project " + Arguments.quoted(directory.toString());
    return project + (withoutBuild ? " --without-build" : "");
  }

  boolean withoutBuild() {
    return withoutBuild;
  }

  Path directory() {
    return directory.toAbsolutePath().normalize();
  }

  Format format() {
    return Format.of(format);
  }

  boolean wantsJson() {
    return format.equals("json");
  }

  boolean trace() {
    return trace;
  }
}
