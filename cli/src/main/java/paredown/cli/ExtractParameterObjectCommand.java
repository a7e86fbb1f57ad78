package paredown.cli;

import java.util.List;
import paredown.refactor.operation.parameterobject.ExtractParameterObject;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Passes one object in the place of several values. */
@Command(
    name = "parameter-object",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Makes a class of parameters that are passed together, and passes one object of it in their",
      "place: in the method, in all that override it or are overridden by it, and in every call.",
      "A caller that was given the same values passes its object on. Where a class of that name",
      "holds just these values already, its objects are passed."
    },
    footer = {
      "",
      "Example:",
      "  pare extract parameter-object Sailing#Sailing \\",
      "      --parameters departs,arrives,tide --name Passage --everywhere",
      "",
      "Without --apply nothing is written. --apply runs the project's tests."
    })
final class ExtractParameterObjectCommand extends ChangeCommand {
  @Parameters(
      paramLabel = "TYPE#METHOD",
      description =
          "The method, with parameter types where it is overloaded; the "
              + "name of the class again for a constructor.")
  private String method;

  @Option(
      names = "--parameters",
      paramLabel = "PARAMETER",
      split = ",",
      required = true,
      description = "The parameters that become one object.")
  private List<String> parameters = List.of();

  @Option(
      names = "--name",
      paramLabel = "NAME",
      required = true,
      description = "The name of the object's class.")
  private String name;

  @Option(
      names = "--everywhere",
      description = "Wherever the project passes parameters of these names and types together.")
  private boolean everywhere;

  @Override
  Preview preview(Session session) {
    MemberName member = MemberName.of(method, "method", "DeckPlan#deckFor");
    return session.preview(
        new ExtractParameterObject(
            member.type(),
            member.member(),
            parameters.stream().map(String::strip).toList(),
            name,
            everywhere));
  }
}
