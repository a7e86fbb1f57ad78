package paredown.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import paredown.UnusableRequest;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Takes fields and methods of a class into a class of their own. */
@Command(
    name = "class",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Takes fields of a class, and methods that need only them, into a new class beside the old",
      "one or within it, which the old one holds in a field. Methods that others call leave a",
      "delegate."
    },
    footer = {
      "",
      "Example:",
      "  pare extract class Sailing --fields departs,arrives,tide \\",
      "      --methods 'crossing,leastWater()' --name Passage",
      "",
      "Without --apply nothing is written. --apply runs the project's tests."
    })
final class ExtractClassCommand extends ChangeCommand {
  /** How another object comes in. */
  enum PassIn {
    constructor,
    setter
  }

  /** What methods receive of their old object. */
  enum Pass {
    owner,
    values
  }

  @Parameters(paramLabel = "TYPE", description = "The class, as short as one meaning is left.")
  private String type;

  @Option(
      names = "--fields",
      paramLabel = "FIELD",
      split = ",",
      description = "The fields that leave, static ones among them.")
  private List<String> fields = List.of();

  @Option(
      names = "--methods",
      paramLabel = "METHOD",
      description = "The methods that leave with them: names, or names with parameter types.")
  private String methods = "";

  @Option(names = "--name", paramLabel = "NAME", description = "The name of the new class.")
  private String name;

  @Option(
      names = "--groups",
      description =
          "Every group of members that pare why shows becomes a class, named after the word that"
              + " its members share; those that cannot leave stay, and are named.")
  private boolean groups;

  @Option(
      names = "--nested",
      description = "Put the new class within the old one, instead of beside it.")
  private boolean nested;

  @Option(
      names = "--package",
      paramLabel = "PACKAGE",
      description = "Put the new class in another package than the old one's.")
  private String home;

  @Option(
      names = "--held-as",
      paramLabel = "FIELD",
      description = "The field that holds the new object; by default after the class's name.")
  private String heldAs;

  @Option(
      names = "--pass-in",
      paramLabel = "constructor|setter",
      description = "A way for another object to come into that field.")
  private PassIn passIn;

  @Option(
      names = "--pass",
      paramLabel = "owner|values",
      description = "What methods that need what stays receive: their old object, or its values.")
  private Pass pass;

  @Mixin private Delegates delegates = new Delegates();

  @Option(
      names = "--accept",
      paramLabel = "REFUSAL",
      split = ",",
      description =
          "Refusals to overrule, since you know better: mapped-field, "
              + "mapped-class, native-code, serialized, reflected, "
              + "named-elsewhere; where methods leave alone, without a delegate, "
              + "maybe-null and started-earlier too.")
  private List<String> accepted = List.of();

  @Override
  Preview preview(Session session) {
    if (groups) {
      requireNothingNamed();
      return session.groups(type);
    }
    if (name == null) {
      throw new UnusableRequest(
          "The new class has no name.", "Say --name NAME, or --groups for all groups of members.");
    }
    List<String> trimmed = fields.stream().map(String::strip).distinct().toList();
    return session.preview(
        new ExtractClass(
            type,
            trimmed,
            selectors(methods),
            name,
            new ExtractClass.Wishes(
                delegates.keep(),
                Accepted.of(accepted, ExtractClass.acceptable()),
                nested,
                Optional.ofNullable(home),
                Optional.ofNullable(heldAs),
                Optional.ofNullable(pass)
                    .map(way -> ExtractClass.Pass.valueOf(way.name().toUpperCase())),
                Optional.ofNullable(passIn)
                    .map(way -> ExtractClass.PassIn.valueOf(way.name().toUpperCase())))));
  }

  private void requireNothingNamed() {
    if (name != null || !fields.isEmpty() || !methods.isEmpty()) {
      throw new UnusableRequest(
          "--groups takes all groups, each under its own name.",
          "Leave --name, --fields and --methods out, or --groups.");
    }
  }

  /** Commas part selectors, but not within brackets. */
  static List<String> selectors(String text) {
    List<String> found = new ArrayList<>();
    for (String part : text.split(",(?![^(]*\\))")) {
      if (!part.isBlank()) {
        found.add(part.strip());
      }
    }
    return found;
  }
}
