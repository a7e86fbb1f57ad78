package paredown.cli;

import java.io.IOException;
import java.net.URI;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import paredown.UnusableRequest;
import paredown.history.GitCommits;
import paredown.project.Progress;
import paredown.refactor.plan.Arguments;
import paredown.remedy.Candidate;
import paredown.session.Session;
import paredown.session.Survey;
import paredown.smell.Finding;
import paredown.smell.Smell;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Lays out the sample project, and walks through the whole loop on it. */
@Command(
    name = "demo",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Walks through the whole loop on a sample project, a tidal ferry line.",
      "Lays it out, then: survey, why, preview, apply with all tests, undo; and a finding is taken to",
      "a commit. Every command is shown as you would type it."
    },
    footer = {"", "Example:", "  pare demo", "  pare demo ferry", "", "This runs Maven's tests."})
final class DemoCommand extends PareCommand {
  private static final String STEPS = "cures.pare";
  private static final String BRANCH = "cures";

  @Parameters(
      paramLabel = "DIR",
      arity = "0..1",
      description = "A folder that is empty or not there; pare-demo where none is given.")
  private Path target = Path.of("pare-demo");

  @Override
  int run() throws IOException {
    Path folder = target.toAbsolutePath().normalize();
    layOut(folder);
    say("The sample project is in " + target + ".");
    String at = " --project " + Arguments.quoted(target.toString());
    walk("survey" + at);
    Survey survey = Session.open(folder, Progress.silent()).survey();
    Finding god = worst(survey, Smell.GOD_CLASS);
    Finding clump = worst(survey, Smell.DATA_CLUMP);
    Candidate candidate = survey.candidates(clump).get(0);
    walk("why " + god.id() + at);
    walk("why " + clump.id() + at);
    String mend = "mend " + candidate.id() + " --name Passage" + at;
    walk(mend);
    walk(mend + " --apply");
    walk("steps" + at);
    walk("undo" + at);
    requireAsLaidOut(folder);
    say("Every file is as it was, to the byte.");
    Candidate whole = survey.candidates(god).get(0);
    commit(folder, whole, at);
    requireAsLaidOut(folder);
    say("The project stays in " + target + ", as it was laid out, to play with.");
    say("Next: pare mend " + whole.id() + at);
    return Exit.DONE;
  }

  /** Takes a cure to a commit, on a branch of a repository of the sample project's own. */
  private void commit(Path folder, Candidate cure, String at) throws IOException {
    String steps = "# %s\n%s\n".formatted(cure.cure().says(), cure.cure().command());
    Files.writeString(folder.resolve(STEPS), steps);
    GitCommits commits = new GitCommits(folder);
    commits.begin("A tidal ferry line", List.of("target/"), "Ferry Desk", "desk@ferry.example");
    String main = commits.goTo(BRANCH);
    String file = Arguments.quoted(target.resolve(STEPS).toString());
    say(
        "\nThe folder is a Git repository now, on its branch %s. A cure of %s, as a file of steps:"
            .formatted(BRANCH, finding(cure)));
    say("\n" + terminal().bold("$ cat " + file) + "\n" + steps.stripTrailing());
    walk("carry " + file + " --apply --commit" + at);
    walk("survey" + at);
    commits.goTo(main);
    say(
        "The commit stays on the branch %s; the files are those of %s again."
            .formatted(BRANCH, main));
  }

  private static String finding(Candidate cure) {
    return cure.id().substring(0, cure.id().indexOf('.'));
  }

  private void say(String sentence) {
    print(sentence + "\n");
  }

  /** Shows a command as the user would type it, and runs it. */
  private void walk(String command) {
    say("\n" + terminal().bold("$ pare " + command));
    int code = Pare.run(command.replace("'", "").split(" "));
    if (code != Exit.DONE) {
      throw new IllegalStateException("pare " + command + " ended with " + code);
    }
  }

  private static Finding worst(Survey survey, Smell smell) {
    return survey.findings().stream()
        .filter(finding -> finding.smell() == smell)
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("no " + smell.words() + " in the demo"));
  }

  private static void layOut(Path folder) throws IOException {
    if (Files.exists(folder) && !Files.isDirectory(folder)) {
      throw new UnusableRequest(
          folder.getFileName() + " is a file, and not a folder.", "Name another: pare demo DIR.");
    }
    if (Files.exists(folder)) {
      try (Stream<Path> entries = Files.list(folder)) {
        if (entries.findAny().isPresent()) {
          throw new UnusableRequest(
              "The folder " + folder.getFileName() + " is not empty.",
              "Name another: pare demo DIR.");
        }
      }
    }
    for (String name : names()) {
      Path file = folder.resolve(name);
      Files.createDirectories(file.getParent());
      Files.write(file, content(name));
    }
  }

  private static void requireAsLaidOut(Path folder) throws IOException {
    if (!isAsLaidOut(folder)) {
      throw new IllegalStateException("the sample project was left changed");
    }
  }

  private static boolean isAsLaidOut(Path folder) throws IOException {
    for (String name : names()) {
      if (!java.util.Arrays.equals(content(name), Files.readAllBytes(folder.resolve(name)))) {
        return false;
      }
    }
    try (Stream<Path> files = Files.walk(folder.resolve("src"))) {
      long sources = names().stream().filter(name -> name.startsWith("src/")).count();
      return files.filter(Files::isRegularFile).count() == sources;
    }
  }

  /** The files of the sample project, as they lie in the program's own archive. */
  private static List<String> names() throws IOException {
    return inArchive(
        demo -> {
          try (Stream<Path> files = Files.walk(demo)) {
            return files
                .filter(Files::isRegularFile)
                .map(file -> demo.relativize(file).toString().replace('\\', '/'))
                .sorted()
                .toList();
          }
        });
  }

  private static byte[] content(String name) throws IOException {
    return inArchive(demo -> Files.readAllBytes(demo.resolve(name)));
  }

  /** Something that is done with the folder of the sample project. */
  private interface Reading<T> {
    T of(Path demo) throws IOException;
  }

  private static <T> T inArchive(Reading<T> reading) throws IOException {
    URI place = URI.create(String.valueOf(DemoCommand.class.getResource("demo")));
    if (!"jar".equals(place.getScheme())) {
      return reading.of(Path.of(place));
    }
    try (FileSystem archive = FileSystems.newFileSystem(place, Map.of())) {
      return reading.of(Path.of(place));
    }
  }
}
