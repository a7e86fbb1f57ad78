package paredown.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import paredown.UnusableRequest;
import paredown.cli.page.SurveyPage;
import paredown.cli.show.Json;
import paredown.cli.show.SurveyJson;
import paredown.cli.show.SurveyMarkdown;
import paredown.cli.show.SurveySarif;
import paredown.cli.show.SurveyText;
import paredown.facts.TypeFact;
import paredown.project.Nearest;
import paredown.session.Session;
import paredown.session.Survey;
import paredown.smell.Finding;
import paredown.smell.FirstScreen;
import paredown.smell.Smell;
import paredown.text.Listed;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Shows what is worth a look, worst first. */
@Command(
    name = "survey",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Shows the findings in the project's main sources, worst first.",
    footer = {
      "",
      "Example:",
      "  pare survey --only god-class --in ferry.desk",
      "  pare survey --changed main --fail-at 40 --new",
      "  pare survey --format html --out findings.html",
      "",
      "The first run on a Maven project asks Maven for the class path, which runs plugins of its",
      "build; later runs do not, until a build file changes."
    })
final class SurveyCommand extends PareCommand {
  /** Of so many classes it is said how near they come to the limits. */
  private static final int SOME = 2;

  @Option(
      names = "--only",
      paramLabel = "SMELL",
      description = "Only findings of this smell; the smaller ones show only so, or with --all.")
  private String only;

  @Option(
      names = "--in",
      paramLabel = "TYPE-or-PACKAGE",
      description = "Only findings in this class or package.")
  private String in;

  @Option(names = "--all", description = "Weak findings as well, and as many as there are.")
  private boolean all;

  @Option(
      names = "--out",
      paramLabel = "FILE",
      description = "Write the answer into a file instead.")
  private Path out;

  @Option(
      names = "--changed",
      paramLabel = "REVISION",
      arity = "0..1",
      fallbackValue = "HEAD",
      description = "Only findings in files that differ from this Git revision; HEAD if none.")
  private String changed;

  @Option(
      names = "--history",
      paramLabel = "COMMITS",
      description = "Look at so many commits; 500 where nothing is set, 0 for none.")
  private Integer history;

  @Option(
      names = "--fail-at",
      paramLabel = "WEIGHT",
      description = "End with exit code 1 where a finding weighs as much, accepted or not.")
  private Integer failAt;

  @Option(names = "--new", description = "Let only findings count that are not accepted.")
  private boolean onlyNew;

  @Override
  int run() {
    Format format = common().format();
    Optional<Smell> smell = smell();
    requireSensible();
    Session session = open();
    if (history != null) {
      session.lookingAt(history);
    }
    Optional<Set<String>> files = Optional.ofNullable(changed).map(session::changedSince);
    Survey whole = session.survey();
    // Only now, as the survey has read the history and so knows the repository.
    if (session.tracksSteps()) {
      terminal()
          .err()
          .println(
              "Version control tracks files in .pare, where this machine keeps its own steps. Stop"
                  + " that with git rm -r --cached .pare.");
    }
    Predicate<Finding> placed =
        finding ->
            (in == null || isIn(finding.type(), in))
                && (files.isEmpty() || touches(finding, files.get()));
    Predicate<Finding> asked =
        finding ->
            smell.isEmpty() ? all || !finding.smell().isSmaller() : finding.smell() == smell.get();
    requirePlace(whole);
    Survey strict = whole.only(placed.and(asked));
    Set<Finding> further = smell.isEmpty() && !all ? further(strict, whole.only(placed)) : Set.of();
    Survey survey = whole.only(placed.and(asked.or(further::contains)));
    boolean leavesSmaller = smell.isEmpty() && !all;
    long smaller =
        leavesSmaller
            ? whole.findings().stream()
                .filter(placed)
                .filter(each -> each.smell().isSmaller() && !further.contains(each))
                .count()
            : 0;
    // Programs and requests to merge are told of no more than what is worth a look.
    boolean forPeople = format == Format.TEXT || format == Format.HTML;
    deliver(answer(format, session, forPeople ? survey : strict, smaller));
    Stream<Finding> counting =
        onlyNew
            ? strict.findings().stream()
            : Stream.concat(strict.findings().stream(), strict.accepted().stream());
    boolean fails = failAt != null && counting.anyMatch(finding -> finding.weight() >= failAt);
    return fails ? Exit.FINDINGS : Exit.DONE;
  }

  private String answer(Format format, Session session, Survey survey, long smaller) {
    return switch (format) {
      case TEXT ->
          new SurveyText(terminal(), here()).of(survey, shown(survey), smaller, asked(survey));
      case JSON -> Json.text(SurveyJson.of(survey));
      case SARIF -> SurveySarif.of(survey, session.accepted());
      case MARKDOWN -> SurveyMarkdown.of(survey, shown(survey));
      case HTML -> new SurveyPage(session, survey).html(SurveyText.lookedAt(survey), shown(survey));
    };
  }

  /** The classes that are asked about, where it is no package. */
  private List<TypeFact> asked(Survey survey) {
    List<TypeFact> named =
        survey.facts().types().stream()
            .filter(type -> in != null && ("." + type.name()).endsWith("." + in))
            .toList();
    return named.size() > SOME ? List.of() : named;
  }

  private static Set<Finding> further(Survey strict, Survey placed) {
    return Set.copyOf(FirstScreen.further(FirstScreen.of(strict.findings()), placed.findings()));
  }

  /** The first screen, and what fills it; where one smell is asked for, its weak findings too. */
  private List<Finding> shown(Survey survey) {
    if (all || only != null) {
      return survey.findings();
    }
    List<Finding> first = FirstScreen.of(survey.findings());
    return Stream.concat(first.stream(), FirstScreen.further(first, survey.findings()).stream())
        .sorted(Comparator.comparingInt(Finding::weight).reversed())
        .toList();
  }

  private void deliver(String answer) {
    if (out == null) {
      print(answer);
    } else {
      write(answer);
      print("Written to " + out + ".\n");
    }
  }

  private void write(String answer) {
    try {
      Files.write(out, answer.getBytes(StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UnusableRequest(
          "The file " + out + " cannot be written.",
          "Give --out a file in a folder that is there and may be written to.");
    }
  }

  private void requireSensible() {
    if (failAt != null && (failAt < 0 || failAt > 100)) {
      throw new UnusableRequest(
          "No finding can weigh " + failAt + ".", "Give --fail-at a weight from 0 to 100.");
    }
    if (history != null && history < 0) {
      throw new UnusableRequest(
          history + " commits cannot be looked at.", "Give --history 0 or more.");
    }
  }

  /** A place that names nothing is a slip, not a clean project. */
  private void requirePlace(Survey survey) {
    List<String> names = survey.facts().types().stream().map(TypeFact::name).toList();
    if (in != null && names.stream().noneMatch(name -> isIn(name, in))) {
      throw new UnusableRequest(
          "There is no class or package " + in + " in the sources.",
          Nearest.advice(in, names, "Give a package, a class, or the end of its name."));
    }
  }

  private static boolean touches(Finding finding, Set<String> files) {
    return files.contains(finding.range().file())
        || finding.evidence().rows().stream().anyMatch(row -> files.contains(row.file()));
  }

  private Optional<Smell> smell() {
    if (only == null) {
      return Optional.empty();
    }
    for (Smell smell : Smell.values()) {
      if (smell.id().equals(only) || smell.shortName().equals(only)) {
        return Optional.of(smell);
      }
    }
    List<String> names = Stream.of(Smell.values()).map(Smell::id).toList();
    throw new UnusableRequest(
        "There is no smell " + only + ".",
        Nearest.advice(only, names, "There is " + Listed.of(names) + "."));
  }

  private static boolean isIn(String type, String place) {
    String dotted = "." + type + ".";
    return dotted.startsWith("." + place + ".") || dotted.endsWith("." + place + ".");
  }
}
