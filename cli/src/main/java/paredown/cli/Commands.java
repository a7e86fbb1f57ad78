package paredown.cli;

import java.util.List;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.HelpCommand;

/** The commands of the program, in the order in which its help lists them. */
final class Commands {
  private static final List<Class<?>> ALL =
      List.of(
          SurveyCommand.class,
          WhyCommand.class,
          MendCommand.class,
          ExtractCommand.class,
          InlineCommand.class,
          MoveCommand.class,
          RenameCommand.class,
          OrderCommand.class,
          RemoveCommand.class,
          CarryCommand.class,
          AcceptCommand.class,
          StepsCommand.class,
          UndoCommand.class,
          TestCommand.class,
          DemoCommand.class,
          HelpCommand.class);

  private Commands() {}

  /**
   * Adds what these arguments may need: the one command that they begin with, or else all. To read
   * the options of all takes a fifth of a short command's time.
   */
  static void addTo(CommandLine line, String... arguments) {
    List<Class<?>> first =
        ALL.stream()
            .filter(each -> each != HelpCommand.class)
            .filter(each -> arguments.length > 0 && name(each).equals(arguments[0]))
            .toList();
    (first.isEmpty() ? ALL : first).forEach(line::addSubcommand);
  }

  private static String name(Class<?> command) {
    return command.getAnnotation(Command.class).name();
  }
}
