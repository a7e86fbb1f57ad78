package paredown.cli;

import paredown.UnusableRequest;
import paredown.refactor.operation.inlinevariable.InlineVariable;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** The inlining operations. */
@Command(
    name = "inline",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Says what a name stands for, wherever the name is used, and takes it away.",
    footer = {"", "Example:", "  pare inline variable 'Tide#depthAt#fallen'"},
    subcommands = {InlineCommand.OfVariable.class, NotYetCommand.Inline.class})
final class InlineCommand extends PareCommand {

  @Override
  int run() {
    throw new UnusableRequest("Inline what?", "Try pare inline variable --help.");
  }

  /** Puts the value of a local variable where the variable is used. */
  @Command(
      name = "variable",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Puts a variable's value where it is used, and takes the variable away.",
        "The value must be the same there, and must not be worked out more often where that shows."
      },
      footer = {
        "",
        "Examples:",
        "  pare inline variable 'Tide#depthAt#fallen'",
        "  pare inline variable FerryDesk:64",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfVariable extends ChangeCommand {
    @Parameters(
        paramLabel = "VARIABLE",
        description = {
          "TYPE#METHOD#VARIABLE, or FILE:LINE where it is declared. A",
          "type may stand for its file."
        })
    private String what;

    @Override
    Preview preview(Session session) {
      return session.preview(new InlineVariable(what));
    }
  }
}
