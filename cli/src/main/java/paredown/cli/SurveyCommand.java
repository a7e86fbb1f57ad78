package paredown.cli;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import paredown.UnusableRequest;
import paredown.project.Nearest;
import paredown.session.Survey;
import paredown.smell.Finding;
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
      "  pare survey --format json --out findings.json",
      "",
      "The first run on a Maven project asks Maven for the class path, which runs plugins of its",
      "build; later runs do not, until a build file changes."
    })
final class SurveyCommand extends PareCommand {
  @Option(names = "--only", paramLabel = "SMELL", description = "Only findings of this smell.")
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
      names = "--fail-at",
      paramLabel = "WEIGHT",
      description = "End with exit code 1 where a finding weighs as much.")
  private Integer failAt;

  @Override
  int run() throws Exception {
    boolean json = json();
    Optional<Smell> smell = smell();
    Survey survey = open().survey();
    List<Finding> findings =
        survey.findings().stream()
            .filter(finding -> smell.isEmpty() || finding.smell() == smell.get())
            .filter(finding -> in == null || isIn(finding.type(), in))
            .toList();
    String answer =
        json
            ? Json.text(SurveyJson.of(survey, findings))
            : new SurveyText(terminal(), here()).of(survey, findings, all);
    if (out == null) {
      print(answer);
    } else {
      Files.write(out, answer.getBytes(StandardCharsets.UTF_8));
      print("Written to " + out + ".\n");
    }
    boolean fails =
        failAt != null && findings.stream().anyMatch(finding -> finding.weight() >= failAt);
    return fails ? Exit.FINDINGS : Exit.DONE;
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
