package paredown.cli;

import paredown.UnusableRequest;
import paredown.refactor.operation.order.OrderMembers;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** The operations that put code in order. */
@Command(
    name = "order",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Puts the members of a type in the order in which they are read.",
    footer = {"", "Example:", "  pare order members Sailing"},
    subcommands = OrderCommand.OfMembers.class)
final class OrderCommand extends PareCommand {

  @Override
  int run() {
    throw new UnusableRequest("Order what?", "Try pare order members --help.");
  }

  /** Puts the methods of a type in reading order. */
  @Command(
      name = "members",
      mixinStandardHelpOptions = true,
      versionProvider = Pare.Version.class,
      description = {
        "Puts each method of a type above those that it calls, these in the order of the calls, and",
        "plain accessors last, with their comments. Fields, initialisers, constructors and nested",
        "types stay where they are, and no method passes a comment that stands alone."
      },
      footer = {
        "",
        "Example:",
        "  pare order members Sailing",
        "",
        "Without --apply nothing is written. --apply runs the project's tests."
      })
  static final class OfMembers extends ChangeCommand {
    @Parameters(paramLabel = "TYPE", description = "The type, as short as one meaning is left.")
    private String type;

    @Override
    Preview preview(Session session) {
      return session.preview(new OrderMembers(type));
    }
  }
}
