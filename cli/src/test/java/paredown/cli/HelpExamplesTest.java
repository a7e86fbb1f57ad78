package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import paredown.refactor.plan.Arguments;
import picocli.CommandLine.Command;

/** The examples in the help of the refactorings, each typed in the demo. */
class HelpExamplesTest {
  private static final List<Class<?>> COMMANDS =
      List.of(
          ExtractClassCommand.class,
          ExtractMethodCommand.class,
          NamingCommand.OfVariable.class,
          NamingCommand.OfConstant.class,
          NamingCommand.OfField.class,
          ExtractParameterObjectCommand.class,
          ExtractSuperclassCommand.class,
          ExtractBuilderCommand.class,
          InlineCommand.OfClass.class,
          InlineCommand.OfMethod.class,
          InlineCommand.OfVariable.class,
          InlineCommand.OfConstant.class,
          InlineCommand.OfField.class,
          MoveCommand.OfMethod.class,
          MoveCommand.OfField.class,
          MoveCommand.OfClass.class,
          RenameCommand.class,
          RemoveCommand.OfMember.class,
          RemoveCommand.OfParameter.class,
          OrderCommand.OfMembers.class);

  @TempDir static Path folder;

  @BeforeAll
  static void layOutTheDemo() {
    Ran.pare(folder, "demo", "ferry").exits(0);
  }

  @TestFactory
  Stream<DynamicTest> previewsWhatItsHelpShows() {
    return COMMANDS.stream()
        .flatMap(command -> examples(command).stream())
        .map(example -> DynamicTest.dynamicTest(example, () -> check(example)));
  }

  private static List<String> examples(Class<?> command) {
    List<String> examples =
        Stream.of(
                String.join("\n", command.getAnnotation(Command.class).footer())
                    .replaceAll("\\\\\n +", "")
                    .split("\n"))
            .filter(line -> line.startsWith("  pare "))
            .map(String::strip)
            .toList();
    assertFalse(examples.isEmpty(), command.getName());
    return examples;
  }

  /** In this process, since one for each would take most of the time of all tests. */
  private static void check(String example) {
    List<String> words = new ArrayList<>(Arguments.words(example.substring("pare ".length())));
    words.addAll(List.of("--project", folder.resolve("ferry").toString()));
    assertEquals(0, Pare.run(words.toArray(String[]::new)), example);
  }
}
