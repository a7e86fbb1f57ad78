package paredown.cli;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import paredown.refactor.RefusalKind;
import paredown.refactor.asked.Given;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Does a remedy that pare why has shown. */
@Command(
    name = "mend",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Shows what a remedy would do; with --apply, does it.",
    footer = {
      "",
      "Example:",
      "  pare mend clump-5e09a1.b4 --name Passage",
      "  pare mend clump-5e09a1.b4 --name Passage --expect 3f9a07 --apply"
    })
final class MendCommand extends ChangeCommand {
  @Parameters(paramLabel = "REMEDY", description = "The id of a remedy, as pare why shows it.")
  private String remedy;

  @Option(
      names = "--name",
      paramLabel = "NAME",
      description = "The name of the new class, or of the method where it goes.")
  private String name;

  @Option(
      names = "--accept",
      paramLabel = "REFUSAL",
      split = ",",
      description = "What is accepted, where pare why offers the remedy on that condition.")
  private List<String> accepted = List.of();

  @Option(
      names = "--until",
      paramLabel = "STEP",
      description = "Stop after so many of its steps, where it has several.")
  private Integer until;

  @Override
  Preview preview(Session session) {
    List<RefusalKind> acceptable =
        Stream.concat(ExtractClass.acceptable().stream(), MoveMethod.acceptable().stream())
            .distinct()
            .toList();
    return session.mend(
        remedy,
        Optional.ofNullable(name),
        Given.accepted(accepted, acceptable),
        until == null ? OptionalInt.empty() : OptionalInt.of(until));
  }

  @Override
  String typed(Preview preview) {
    String given = name;
    if (preview.refactoring() instanceof ExtractClass extraction) {
      given = extraction.name();
    }
    String accepting = accepted.isEmpty() ? "" : " --accept " + String.join(",", accepted);
    return "pare mend "
        + remedy
        + (given == null ? "" : " --name " + given)
        + accepting
        + (until == null ? "" : " --until " + until);
  }
}
