package paredown.cli;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import paredown.refactor.asked.Verb;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.HelpCommand;
import picocli.CommandLine.Model.CommandSpec;

/** The commands of the program, in the order in which its help lists them. */
final class Commands {
  private static final Map<String, Supplier<CommandSpec>> ALL = new LinkedHashMap<>();

  static {
    add(SurveyCommand::new);
    add(WhyCommand::new);
    add(MendCommand::new);
    for (Verb verb : Verb.values()) {
      ALL.put(verb.word(), () -> VerbCommand.of(verb));
    }
    add(CarryCommand::new);
    add(AcceptCommand::new);
    add(StepsCommand::new);
    add(UndoCommand::new);
    add(TestCommand::new);
    add(DemoCommand::new);
    add(CompletionCommand::new);
    add(HelpCommand::new);
  }

  private Commands() {}

  private static void add(Supplier<Object> command) {
    ALL.put(
        command.get().getClass().getAnnotation(Command.class).name(),
        () -> CommandSpec.forAnnotatedObject(command.get()));
  }

  /**
   * Adds what these arguments may need: the one command that they begin with, or else all. To read
   * the options of all takes a fifth of a short command's time.
   */
  static void addTo(CommandLine line, String... arguments) {
    String first = Arrays.stream(arguments).findFirst().orElse("");
    boolean one = ALL.containsKey(first) && !first.equals("help");
    ALL.forEach(
        (name, command) -> {
          if (!one || name.equals(first)) {
            line.addSubcommand(name, command.get());
          }
        });
  }
}
