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
    add(SurveyCommand.class);
    add(WhyCommand.class);
    add(MendCommand.class);
    for (Verb verb : Verb.values()) {
      ALL.put(verb.word(), () -> VerbCommand.of(verb));
    }
    add(CarryCommand.class);
    add(AcceptCommand.class);
    add(StepsCommand.class);
    add(UndoCommand.class);
    add(TestCommand.class);
    add(DemoCommand.class);
    add(CompletionCommand.class);
    add(HelpCommand.class);
  }

  private Commands() {}

  private static void add(Class<?> command) {
    ALL.put(
        command.getAnnotation(Command.class).name(), () -> CommandSpec.forAnnotatedObject(command));
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
