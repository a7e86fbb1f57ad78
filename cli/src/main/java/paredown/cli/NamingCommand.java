package paredown.cli;

import paredown.refactor.operation.extractvariable.ExtractVariable;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The arguments of what gives a name to a value. */
abstract class NamingCommand extends ChangeCommand {
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
  static final class OfVariable extends NamingCommand {
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
  static final class OfConstant extends NamingCommand {
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
        "  pare extract field Tide:33 --name fallen",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfField extends NamingCommand {
    @Override
    ExtractVariable.Kind kind() {
      return ExtractVariable.Kind.FIELD;
    }
  }
}
