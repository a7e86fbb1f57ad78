package paredown.cli;

import picocli.AutoComplete;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** Prints what lets a shell complete the words of a command. */
@Command(
    name = "completion",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Prints a script that lets bash or zsh complete the commands of pare and their options."
    },
    footer = {"", "Example:", "  source <(pare completion)"})
final class CompletionCommand extends PareCommand {

  @Override
  int run() {
    CommandLine all = new CommandLine(new Pare());
    Commands.addTo(all);
    print(AutoComplete.bash("pare", all));
    return Exit.DONE;
  }
}
