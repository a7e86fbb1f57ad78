package paredown.cli;

import java.util.List;
import paredown.UnusableRequest;
import paredown.refactor.operation.rename.Rename;
import paredown.refactor.operation.rename.RenameType;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Gives a type, a field, a method or a variable another name. */
@Command(
    name = "rename",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Gives a type, a member or a variable another name, wherever it is meant.",
      "A type takes its file along, and a method all that override it or are overridden by it; a",
      "component of a record its accessor. Strings and other files stay as they are unless",
      "--in-strings is said."
    },
    footer = {
      "",
      "Examples:",
      "  pare rename Sailing --name Crossing",
      "  pare rename Sailing#tide --name highWater --accessors",
      "  pare rename 'Sailing#crossing()' --name minutesAtSea",
      "  pare rename 'DeckPlan#deckFor(Passenger)#passenger' --name guest",
      "  pare rename Sailing --name Crossing --in-strings",
      "",
      "Without --apply nothing is written. --apply runs the project's tests."
    })
final class RenameCommand extends ChangeCommand {
  @Parameters(
      paramLabel = "TYPE[#MEMBER[#VARIABLE]]",
      description =
          "What gets another name, as short as one meaning is left; a variable may be a type "
              + "variable.")
  private String what;

  @Option(names = "--name", paramLabel = "NAME", required = true, description = "The new name.")
  private String name;

  @Option(
      names = "--accessors",
      description = "Let the plain accessors of a field follow, getTide and setTide for example.")
  private boolean accessors;

  @Option(
      names = "--in-strings",
      description =
          "Say the new name in strings, too: the whole name of a type, also in files that are not "
              + "Java, such as lists of services; and strings that are just a member's name, in "
              + "files that know its class.")
  private boolean inStrings;

  @Option(
      names = "--accept",
      paramLabel = "REFUSAL",
      split = ",",
      description =
          "Refusals to overrule, since you know better: serialized, mapped-field, reflected; of a "
              + "type also mapped-class, named-elsewhere.")
  private List<String> accepted = List.of();

  @Override
  Preview preview(Session session) {
    List<String> parts = List.of(what.split("#", -1));
    if (parts.size() > 3 || parts.stream().anyMatch(String::isBlank)) {
      throw new UnusableRequest(
          what + " names no type and no member of one.",
          "Name a type, Sailing for example, or a member with its class, Sailing#tide.");
    }
    if (parts.size() == 1) {
      if (accessors) {
        throw new UnusableRequest(
            "Only a field has accessors that could be renamed after it.", "Leave --accessors out.");
      }
      return session.preview(
          new RenameType(what, name, inStrings, Accepted.of(accepted, RenameType.acceptable())));
    }
    return session.preview(
        new Rename(
            parts.get(0),
            parts.get(1),
            parts.size() > 2 ? parts.get(2) : "",
            name,
            accessors,
            inStrings,
            Accepted.of(accepted, Rename.acceptable())));
  }
}
