package paredown.cli;

import paredown.UnusableRequest;
import picocli.CommandLine.Command;

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
      ExtractClassCommand.class,
      ExtractMethodCommand.class,
      NamingCommand.OfVariable.class,
      NamingCommand.OfConstant.class,
      NamingCommand.OfField.class,
      ExtractParameterObjectCommand.class,
      ExtractSuperclassCommand.class,
      ExtractBuilderCommand.class
    })
final class ExtractCommand extends PareCommand {

  @Override
  int run() {
    throw new UnusableRequest(
        "Extract what?",
        "Try --help of pare extract class, extract method, extract variable, extract constant,"
            + " extract field, extract parameter-object, extract superclass, extract builder.");
  }
}
