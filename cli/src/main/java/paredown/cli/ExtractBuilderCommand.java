package paredown.cli;

import java.util.List;
import paredown.refactor.operation.builder.ExtractBuilder;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Puts a builder in the place of constructors that grow by a parameter at a time. */
@Command(
    name = "builder",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Puts a builder within a class whose constructors grow by a parameter at a time. It takes what",
      "all of them take; a method each gives the rest, and what is not given is as the shorter",
      "constructors have it. Who called a constructor asks the builder, in all files, tests among",
      "them. Shorter constructors that nobody calls then are gone; the longest one stays."
    },
    footer = {
      "",
      "Example:",
      "  pare extract builder Ticket",
      "",
      "Without --apply nothing is written. --apply runs the project's tests."
    })
final class ExtractBuilderCommand extends ChangeCommand {
  @Parameters(paramLabel = "TYPE", description = "The class, as short as one meaning is left.")
  private String type;

  @Option(
      names = "--name",
      paramLabel = "NAME",
      description = "The name of the builder; Builder where nothing is said.")
  private String name = ExtractBuilder.USUAL;

  @Option(
      names = "--accept",
      paramLabel = "REFUSAL",
      split = ",",
      description = "Refusals to overrule, since you know better: started-earlier.")
  private List<String> accepted = List.of();

  @Override
  Preview preview(Session session) {
    return session.preview(
        new ExtractBuilder(type, name, Accepted.of(accepted, ExtractBuilder.acceptable())));
  }
}
