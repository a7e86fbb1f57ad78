package paredown.cli;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import paredown.refactor.Refactoring;
import paredown.refactor.asked.Choice;
import paredown.refactor.asked.Given;
import paredown.refactor.asked.Operation;
import paredown.session.Preview;
import paredown.session.Session;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;

/** The command of an operation, made from how that says it is asked for. */
final class OperationCommand extends ChangeCommand {
  private final Operation operation;
  private CommandSpec spec;

  private OperationCommand(Operation operation) {
    this.operation = operation;
  }

  /** A command that it understands. */
  String example() {
    return operation.example();
  }

  /** The command line that an operation has. */
  static CommandSpec of(Operation operation) {
    OperationCommand command = new OperationCommand(operation);
    CommandSpec spec = CommandSpec.forAnnotatedObject(command);
    command.spec = spec;
    spec.name(operation.noun().isEmpty() ? operation.verb().word() : operation.noun())
        .mixinStandardHelpOptions(true)
        .versionProvider(new Pare.Version());
    spec.addPositional(
        PositionalParamSpec.builder()
            .index("0")
            .arity("1")
            .type(String.class)
            .paramLabel(operation.label())
            .description(operation.subject())
            .build());
    operation.choices().forEach(choice -> spec.addOption(option(choice)));
    spec.usageMessage()
        .description(operation.summary(), operation.more())
        .footer(footer(operation));
    return spec;
  }

  private static OptionSpec option(Choice choice) {
    OptionSpec.Builder option =
        OptionSpec.builder(choice.name()).description(choice.says()).required(choice.isRequired());
    if (choice.isFlag()) {
      return option.type(boolean.class).arity("0").build();
    }
    option.paramLabel(choice.label()).arity("1").completionCandidates(choice.words());
    return choice.isList()
        ? option.type(List.class).auxiliaryTypes(String.class).build()
        : option.type(String.class).build();
  }

  private static String[] footer(Operation operation) {
    List<String> footer = new ArrayList<>(List.of(""));
    footer.add(operation.examples().size() == 1 ? "Example:" : "Examples:");
    operation.examples().forEach(example -> example.lines().map("  "::concat).forEach(footer::add));
    footer.add("");
    footer.add("Without --apply nothing is written. --apply runs the project's tests.");
    return footer.toArray(String[]::new);
  }

  @Override
  int run() throws InterruptedException {
    // Nothing of the project is read for a command that says too little.
    given().requireSubject();
    return super.run();
  }

  @Override
  Preview preview(Session session) {
    return session.preview(given(), refactoring -> answered(session, refactoring));
  }

  /** The same, where somebody can be asked and has said what only a person knows. */
  private Refactoring answered(Session session, Refactoring refactoring) {
    if (!terminal().canAsk()) {
      return refactoring;
    }
    List<Refactoring.Question> questions = session.questions(refactoring);
    if (questions.isEmpty()) {
      return refactoring;
    }
    quiet();
    return refactoring.without(new Asking(terminal()).denied(questions));
  }

  private Given given() {
    Map<String, List<String>> values = new LinkedHashMap<>();
    for (Choice choice : operation.choices()) {
      Object value = spec.findOption(choice.name()).getValue();
      if (value instanceof List<?> many) {
        values.put(choice.name(), many.stream().map(String::valueOf).toList());
      } else if (value instanceof String one) {
        values.put(choice.name(), List.of(one));
      } else if (Boolean.TRUE.equals(value)) {
        values.put(choice.name(), List.of());
      }
    }
    String subject = spec.positionalParameters().get(0).getValue();
    return new Given(operation, subject, values);
  }
}
