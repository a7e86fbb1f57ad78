package paredown.cli;

import java.util.List;
import java.util.Optional;
import paredown.cli.show.ProductVersion;
import paredown.cli.show.SurveyText;
import paredown.cli.show.Terminal;
import paredown.session.Session;
import paredown.session.Survey;
import paredown.smell.Finding;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.IVersionProvider;

/** The program: alone it tells the state of the project and what to type next. */
@Command(
    name = "pare",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Finds classes that do too much, and takes them apart in small, safe steps.",
    footer = {
      "",
      "Example:",
      "  pare survey                 what is worth a look, worst first",
      "  pare why god-7c1e42         one finding, and what would cure it",
      "  pare mend god-7c1e42.b4     look at a cure; --apply does it, with all tests",
      "  pare undo                   take it back",
      "",
      "Exit codes: 0 done, 1 findings at or above --fail-at, 2 unusable request, 3 refused,",
      "4 put back by a gate, 5 project cannot be read, 70 a fault of pare, 130 interrupted.",
      "Asking Maven for the class path and running tests run the project's own build."
    })
public final class Pare extends PareCommand {

  public static void main(String[] arguments) {
    System.exit(run(arguments));
  }

  static int run(String... arguments) {
    CommandLine line = new CommandLine(new Pare());
    Commands.addTo(line, arguments);
    line.setCaseInsensitiveEnumValuesAllowed(true);
    line.setUsageHelpAutoWidth(false);
    line.setUsageHelpWidth(Math.min(100, Terminal.ofProcess().width()));
    line.setExecutionExceptionHandler(new Complaints());
    line.setParameterExceptionHandler(new Misuse());
    try {
      return line.execute(arguments);
    } catch (OutOfMemoryError full) {
      System.err.println(
          "There was not enough memory. A step that was begun is put back, or pare undo puts it back.");
      System.err.println(
          "Give it more: PARE_JAVA_OPTIONS=-Xmx4g pare ...; or leave files out with exclude: in"
              + " pare.yaml.");
      return Exit.UNREADABLE;
    }
  }

  @Override
  int run() {
    Session session = open();
    Survey survey = session.survey();
    StringBuilder text = new StringBuilder();
    text.append(SurveyText.lookedAt(survey)).append('\n');
    session
        .taken()
        .unverified()
        .ifPresent(step -> text.append("Step ").append(step.number()).append(" was cut off.\n"));
    Optional<paredown.journal.Step> last =
        session.taken().all().stream()
            .filter(step -> step.state() == paredown.journal.StepState.VERIFIED)
            .reduce((before, step) -> step);
    last.ifPresent(
        step ->
            text.append("Last step: ")
                .append(step.number())
                .append(", ")
                .append(step.summary())
                .append('\n'));
    List<Finding> findings =
        survey.findings().stream().filter(finding -> !finding.smell().isSmaller()).toList();
    if (findings.isEmpty()) {
      text.append("Nothing stands out.\n");
    } else {
      Finding worst = findings.get(0);
      text.append("Weightiest: ")
          .append(worst.id())
          .append(" (")
          .append(worst.weight())
          .append("), ")
          .append(worst.shortType())
          .append(": ")
          .append(worst.summary())
          .append('\n');
    }
    boolean cutOff = session.taken().unverified().isPresent();
    String next = cutOff ? "pare undo" : !findings.isEmpty() ? "pare survey" : "pare --help";
    print(text + "Next: " + next + here() + "\n");
    return Exit.DONE;
  }

  /** The version as --version shows it. */
  static final class Version implements IVersionProvider {
    @Override
    public String[] getVersion() {
      return new String[] {"pare " + ProductVersion.text()};
    }
  }
}
