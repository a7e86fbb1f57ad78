package paredown.cli;

import java.util.List;
import java.util.Optional;
import paredown.UnusableRequest;
import paredown.refactor.operation.movefield.MoveField;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.operation.movetype.MoveType;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The moving operations: of members to other types, and of types to other packages. */
@Command(
    name = "move",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Takes members to the class, and classes to the package, that they belong to.",
    footer = {
      "",
      "Examples:",
      "  pare move method DeckPlan#deckFor --to Passenger",
      "  pare move field DuesClerk#CENTS_A_METRE --to QuayBook",
      "  pare move class Berth --to ferry.port"
    },
    subcommands = {
      MoveCommand.OfMethod.class,
      MoveCommand.OfField.class,
      MoveCommand.OfClass.class
    })
final class MoveCommand extends PareCommand {

  @Override
  int run() {
    throw new UnusableRequest(
        "Move what?", "Try --help of pare move method, move field, move class.");
  }

  /** Takes a method to another type. */
  @Command(
      name = "method",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Takes a method to the type of one of its parameters or of a field of its class, to a type",
        "around or within its own, or to one without any link. It receives the values that it",
        "needs of its old object, and the whole object only where it must."
      },
      footer = {
        "",
        "Examples:",
        "  pare move method DeckPlan#deckFor --to Passenger --delegate none",
        "  pare move method FerryDesk#money --to DuesClerk --through static",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfMethod extends ChangeCommand {
    /** What the method receives of its old object. */
    enum Pass {
      values,
      owner
    }

    @Parameters(
        paramLabel = "TYPE#METHOD",
        description = "The method, as short as one meaning is left.")
    private String member;

    @Option(
        names = "--to",
        paramLabel = "TYPE",
        required = true,
        description = "The class, interface, enum or record that gets it.")
    private String target;

    @Option(
        names = "--through",
        paramLabel = "WAY",
        description =
            "How it reaches its new object: a parameter's or field's name, "
                + "outer (the object around its own), new (one for each call), "
                + "new-field (one that each object keeps), callers (one that each "
                + "caller has), or static (none). Needed where several or none are "
                + "plain.")
    private String through;

    @Mixin private Delegates delegates = new Delegates();

    @Option(
        names = "--pass",
        paramLabel = "values|owner",
        description =
            "What it receives of its old object: by default the values, " + "where they will do.")
    private Pass pass = Pass.values;

    @Option(names = "--name", paramLabel = "NAME", description = "Its name in the new place.")
    private String name;

    @Option(
        names = "--accept",
        paramLabel = "REFUSAL",
        split = ",",
        description =
            "Refusals to overrule, since you know better: maybe-null, "
                + "reflected, started-earlier, named-elsewhere.")
    private List<String> accepted = List.of();

    @Override
    Preview preview(Session session) {
      int sharp = member.indexOf('#');
      if (sharp <= 0 || sharp == member.length() - 1) {
        throw new UnusableRequest(
            member + " names no method.", "Name its class, too: 'Sailing#floats'.");
      }
      return session.preview(
          new MoveMethod(
              member.substring(0, sharp),
              member.substring(sharp + 1),
              target,
              new MoveMethod.Wishes(
                  Optional.ofNullable(through),
                  delegates.keep(),
                  pass == Pass.owner,
                  Optional.ofNullable(name),
                  Accepted.of(accepted, MoveMethod.acceptable()))));
    }
  }

  /** Takes a field to another type. */
  @Command(
      name = "field",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Takes a field with its comment to another type: a static one as it is, one of objects to an",
        "object of that type which each of them holds in a field and has for itself.",
        "All who name it follow, in code, imports and links, and it becomes as visible as they need."
      },
      footer = {
        "",
        "Example:",
        "  pare move field DuesClerk#CENTS_A_METRE --to QuayBook",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfField extends ChangeCommand {
    @Parameters(
        paramLabel = "TYPE#FIELD",
        description = "The field, with its class as short as one meaning is left.")
    private String what;

    @Option(
        names = "--to",
        paramLabel = "TYPE",
        required = true,
        description = "The class, interface, enum or record that gets it.")
    private String target;

    @Option(
        names = "--through",
        paramLabel = "FIELD",
        description = "The field that holds the object, where there are several.")
    private String through;

    @Option(
        names = "--accept",
        paramLabel = "REFUSAL",
        split = ",",
        description =
            "Refusals to overrule, since you know better: mapped-field, "
                + "reflected, serialized, started-earlier, target-shared.")
    private List<String> accepted = List.of();

    @Override
    Preview preview(Session session) {
      MemberName name = MemberName.of(what, "field", "DuesClerk#CENTS_A_METRE");
      return session.preview(
          new MoveField(
              name.type(),
              name.member(),
              target,
              Optional.ofNullable(through),
              Accepted.of(accepted, MoveField.acceptable())));
    }
  }

  /** Takes a type to another package. */
  @Command(
      name = "class",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Takes a class, interface, enum, record or annotation with its file to another package of",
        "the same source folder. Imports, whole names and Javadoc follow; what the two packages",
        "need of each other becomes public. A type within another gets a file of its own: its own",
        "package with --to takes it out of the type around it, another takes it on."
      },
      footer = {
        "",
        "Example:",
        "  pare move class Berth --to ferry.port",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfClass extends ChangeCommand {
    @Parameters(paramLabel = "TYPE", description = "The type, as short as one meaning is left.")
    private String type;

    @Option(
        names = "--to",
        paramLabel = "PACKAGE",
        required = true,
        description = "The package that gets it; a new one is made.")
    private String target;

    @Option(
        names = "--in-strings",
        description =
            "Say its new whole name in strings, too, and in files that are not Java, such as lists "
                + "of services.")
    private boolean inStrings;

    @Option(
        names = "--accept",
        paramLabel = "REFUSAL",
        split = ",",
        description =
            "Refusals to overrule, since you know better: serialized, "
                + "mapped-class, reflected, named-elsewhere.")
    private List<String> accepted = List.of();

    @Override
    Preview preview(Session session) {
      return session.preview(
          new MoveType(type, target, inStrings, Accepted.of(accepted, MoveType.acceptable())));
    }
  }
}
