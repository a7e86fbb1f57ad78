package paredown.cli;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import paredown.UnusableRequest;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.extractvariable.ExtractVariable;
import paredown.refactor.operation.parameterobject.ExtractParameterObject;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The extracting operations. */
@Command(
    name = "extract",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Takes members out into a class, and code into a method, variable or field.",
    footer = {
      "",
      "Examples:",
      "  pare extract class Sailing --fields departs,arrives,tide --name Passage",
      "  pare extract method FerryDesk:64-65 --name byTheMetre",
      "  pare extract variable Sailing:82:28-82:50 --name needed"
    },
    subcommands = {
      ExtractCommand.OfClass.class,
      ExtractCommand.OfMethod.class,
      ExtractCommand.OfVariable.class,
      ExtractCommand.OfConstant.class,
      ExtractCommand.OfField.class,
      ExtractCommand.OfParameters.class,
      NotYetCommand.Extract.class
    })
final class ExtractCommand extends PareCommand {

  @Override
  int run() {
    throw new UnusableRequest(
        "Extract what?",
        "Try --help of pare extract class, extract method, extract variable, extract constant,"
            + " extract field, extract parameter-object.");
  }

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
  static final class OfClass extends ChangeCommand {
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

    @Option(
        names = "--name",
        paramLabel = "NAME",
        required = true,
        description = "The name of the new class.")
    private String name;

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

  /** Takes code out of a method. */
  @Command(
      name = "method",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Makes a private method of statements that follow each other, or of one expression, below",
        "the method that they stand in, and calls it in their place. It takes the values that it",
        "needs in the order in which it names them, and gives the one that what follows needs.",
        "With --duplicates all, places of the class that say the same call it, too; with --to it moves",
        "on to the type that it lives on."
      },
      footer = {
        "",
        "Examples:",
        "  pare extract method FerryDesk:64-65 --name byTheMetre",
        "  pare extract method FerryDesk:87:12-87:44 --name isParty",
        "  pare extract method FerryDesk:87:12-87:44 --name isParty --to Booking",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfMethod extends ChangeCommand {
    @Parameters(
        paramLabel = "PLACE",
        description =
            "The code: FILE:FIRST-LAST for whole lines, or "
                + "FILE:LINE:COLUMN-LINE:COLUMN with both ends. A type may stand "
                + "for its file.")
    private String place;

    @Option(
        names = "--name",
        paramLabel = "NAME",
        required = true,
        description = "The name of the new method.")
    private String name;

    @Option(
        names = "--duplicates",
        paramLabel = "none|all|project",
        description =
            "all: other places of the class that say the same call it, too; literals in which they"
                + " differ become parameters. project: those of all classes of the package as well,"
                + " where it needs no object. none is usual.")
    private String duplicates = "none";

    @Option(
        names = "--to",
        paramLabel = "TYPE",
        description =
            "Moves it on at once to the type of one of the values that it "
                + "takes, or of a field.")
    private String target;

    @Option(
        names = "--accept",
        paramLabel = "REFUSAL",
        split = ",",
        description = "With --to: refusals to overrule, as in move method.")
    private List<String> accepted = List.of();

    @Override
    Preview preview(Session session) {
      if (target == null && !accepted.isEmpty()) {
        throw new UnusableRequest(
            "Without --to there is nothing to accept.", "Leave --accept out, or say --to.");
      }
      return session.preview(
          new ExtractMethod(
              place,
              name,
              Optional.ofNullable(target),
              which(),
              Accepted.of(accepted, ExtractMethod.acceptable())));
    }

    private Duplicates which() {
      return Arrays.stream(Duplicates.values())
          .filter(each -> each.word().equals(duplicates))
          .findFirst()
          .orElseThrow(
              () ->
                  new UnusableRequest(
                      "--duplicates is none, all or project, not " + duplicates + ".",
                      "Say --duplicates all, or leave it out."));
    }
  }

  /** The arguments of what gives a name to a value. */
  abstract static class Naming extends ChangeCommand {
    @Parameters(
        paramLabel = "PLACE",
        description =
            "The expression: FILE:LINE:COLUMN-LINE:COLUMN with both ends, "
                + "or FILE:LINE where it has the line for itself. A type may "
                + "stand for its file.")
    private String place;

    @Option(names = "--name", paramLabel = "NAME", required = true, description = "The new name.")
    private String name;

    @Option(names = "--only-here", description = "Leave it where the same expression stands again.")
    private boolean onlyHere;

    abstract ExtractVariable.Kind kind();

    @Override
    Preview preview(Session session) {
      return session.preview(new ExtractVariable(kind(), place, name, onlyHere));
    }
  }

  /** Gives the value of an expression to a local variable. */
  @Command(
      name = "variable",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Gives the value of an expression to a new local variable.",
        "The variable is declared in front of the statement, and named wherever the same expression",
        "stands again in its block and gives the same value."
      },
      footer = {
        "",
        "Example:",
        "  pare extract variable Sailing:82:28-82:50 --name needed",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfVariable extends Naming {
    @Override
    ExtractVariable.Kind kind() {
      return ExtractVariable.Kind.VARIABLE;
    }
  }

  /** Gives the value of an expression to a constant. */
  @Command(
      name = "constant",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Gives a value that the compiler knows to a new constant of the class.",
        "The constant is private, stands behind the constants that are there, and is named wherever",
        "the class says the same."
      },
      footer = {
        "",
        "Example:",
        "  pare extract constant Tide:33:40-33:42 --name MINUTES_OF_FALL",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfConstant extends Naming {
    @Override
    ExtractVariable.Kind kind() {
      return ExtractVariable.Kind.CONSTANT;
    }
  }

  /** Gives the value of an expression, or of a local variable, to a field. */
  @Command(
      name = "field",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Gives the value of an expression to a new private field of the class, where the expression",
        "stands, and names the field there and where the same follows. In a line that declares a",
        "local variable, the variable becomes the field."
      },
      footer = {
        "",
        "Examples:",
        "  pare extract field Sailing:82:28-82:50 --name needed",
        "  pare extract field Sailing:81 --name left",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfField extends Naming {
    @Override
    ExtractVariable.Kind kind() {
      return ExtractVariable.Kind.FIELD;
    }
  }

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
  static final class OfParameters extends ChangeCommand {
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
}
