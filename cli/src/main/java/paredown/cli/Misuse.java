package paredown.cli;

import java.util.List;
import paredown.cli.show.Json;
import paredown.cli.show.Terminal;
import picocli.CommandLine;
import picocli.CommandLine.IParameterExceptionHandler;
import picocli.CommandLine.MissingParameterException;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.UnmatchedArgumentException;

/** Answers a command line that cannot be understood: one sentence, and what would be. */
final class Misuse implements IParameterExceptionHandler {

  @Override
  public int handleParseException(ParameterException e, String[] arguments) {
    CommandLine line = e.getCommandLine();
    String advice = "Try " + line.getCommandSpec().qualifiedName() + " --help.";
    if (e instanceof UnmatchedArgumentException unmatched) {
      List<String> near = unmatched.getSuggestions();
      if (!near.isEmpty()) {
        advice = "Did you mean " + String.join(" or ", near) + "?";
      }
    }
    if (e instanceof MissingParameterException
        && line.getCommandSpec().userObject() instanceof OperationCommand command) {
      advice = "For example: " + command.example();
    }
    String sentence = e.getMessage().endsWith(".") ? e.getMessage() : e.getMessage() + ".";
    boolean json = List.of(arguments).contains("--format=json") || isJson(arguments);
    Terminal terminal = Terminal.ofProcess();
    if (json) {
      terminal.out().print(Json.text(Complaints.json("unusable", sentence, advice)));
    } else {
      terminal.err().println(sentence);
      terminal.err().println(advice);
    }
    return Exit.UNUSABLE;
  }

  private static boolean isJson(String[] arguments) {
    int at = List.of(arguments).indexOf("--format");
    return at >= 0 && at + 1 < arguments.length && arguments[at + 1].equals("json");
  }
}
