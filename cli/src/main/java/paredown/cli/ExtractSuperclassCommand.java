package paredown.cli;

import java.util.List;
import java.util.Optional;
import paredown.refactor.operation.superclass.ExtractSuperclass;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Takes what classes have in common up to the class that they extend. */
@Command(
    name = "superclass",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Takes members that classes have in common up to the class that they extend, or to a new one",
      "that is put between. The fields and methods that these need go with them; what each class has",
      "in its own way becomes abstract above. The members of the other classes may have other names",
      "for their variables and private fields; they are gone then."
    },
    footer = {
      "",
      "Example:",
      "  pare extract superclass Vessel,Berth --members name,lengthM --name Hull",
      "",
      "Without --apply nothing is written. --apply runs the project's tests."
    })
final class ExtractSuperclassCommand extends ChangeCommand {
  @Parameters(
      paramLabel = "TYPE[,TYPE]",
      split = ",",
      description = "The classes; the members of the first go up.")
  private List<String> types = List.of();

  @Option(
      names = "--members",
      paramLabel = "MEMBER",
      required = true,
      description = "Fields and methods of the first: names, or names with parameter types.")
  private String members = "";

  @Option(
      names = "--parts",
      paramLabel = "PLACE",
      split = ",",
      description =
          "Places that say the same, one in each class: each becomes a method first, with the name"
              + " that --members gives, and that goes up.")
  private List<String> parts = List.of();

  @Option(
      names = "--name",
      paramLabel = "NAME",
      description =
          "The name of a new class between; without it the members go to the class that they extend.")
  private String name;

  @Option(
      names = "--accept",
      paramLabel = "REFUSAL",
      split = ",",
      description =
          "Refusals to overrule, since you know better: mapped-field, reflected, serialized,"
              + " started-earlier, named-elsewhere.")
  private List<String> accepted = List.of();

  @Override
  Preview preview(Session session) {
    return session.preview(
        new ExtractSuperclass(
            types.stream().map(String::strip).toList(),
            ExtractClassCommand.selectors(members),
            parts.stream().map(String::strip).toList(),
            Optional.ofNullable(name),
            Accepted.of(accepted, ExtractSuperclass.acceptable())));
  }
}
