package paredown.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import paredown.UnusableRequest;
import paredown.refactor.asked.Operation;
import paredown.refactor.asked.Verb;
import paredown.refactor.operation.Operations;
import picocli.CommandLine.Model.CommandSpec;

/** The command of a verb, which needs to know what it is done to. */
final class VerbCommand extends PareCommand {
  /** So many operations show their first example. */
  private static final int SHOWN = 4;

  private final Verb verb;

  private VerbCommand(Verb verb) {
    this.verb = verb;
  }

  /** The command line of a verb, with its operations below it. */
  static CommandSpec of(Verb verb) {
    List<Operation> operations = Operations.of(verb);
    if (operations.get(0).noun().isEmpty()) {
      return OperationCommand.of(operations.get(0));
    }
    CommandSpec spec = CommandSpec.forAnnotatedObject(new VerbCommand(verb));
    spec.name(verb.word()).mixinStandardHelpOptions(true).versionProvider(new Pare.Version());
    operations.forEach(each -> spec.addSubcommand(each.noun(), OperationCommand.of(each)));
    List<String> footer = new ArrayList<>(List.of(""));
    footer.add(operations.size() == 1 ? "Example:" : "Examples:");
    operations.stream()
        .limit(SHOWN)
        .flatMap(each -> each.examples().get(0).lines())
        .forEach(line -> footer.add("  " + line));
    spec.usageMessage().description(verb.says()).footer(footer.toArray(String[]::new));
    return spec;
  }

  @Override
  int run() {
    String word = verb.word();
    throw new UnusableRequest(
        word.substring(0, 1).toUpperCase() + word.substring(1) + " what?",
        "Try --help of pare %s."
            .formatted(
                Operations.of(verb).stream()
                    .map(Operation::words)
                    .collect(Collectors.joining(", "))));
  }
}
