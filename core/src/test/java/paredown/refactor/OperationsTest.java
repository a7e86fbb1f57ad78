package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import paredown.UnusableRequest;
import paredown.refactor.asked.Choice;
import paredown.refactor.asked.Operation;
import paredown.refactor.operation.Operations;
import paredown.refactor.plan.Arguments;

/** The register of operations, and what they print of themselves. */
class OperationsTest {
  private static List<String> words(String command) {
    List<String> words = new ArrayList<>(Arguments.words(command.replaceAll("\\\\\n +", "")));
    words.remove("pare");
    return words;
  }

  /** The commands of all cases, which have every option at least once. */
  private static List<String> ofCases() throws IOException {
    try (Stream<Path> files = Files.walk(Path.of("src/test/resources"))) {
      List<String> commands = new ArrayList<>();
      for (Path file : files.filter(each -> each.toString().endsWith(".case")).toList()) {
        commands.add(Files.readAllLines(file).get(1));
      }
      return commands;
    }
  }

  @Test
  void printTheCommandThatAsksForThem() throws IOException {
    List<String> commands = ofCases();
    Operations.all().forEach(operation -> commands.addAll(operation.examples()));
    for (String command : commands) {
      Refactoring asked = Operations.read(words(command));
      assertEquals(asked, Operations.read(words(asked.command())), command);
    }
  }

  @Test
  void haveEachOptionShownByACase() throws IOException {
    Set<String> unshown = new TreeSet<>();
    List<String> commands = ofCases();
    for (Operation operation : Operations.all()) {
      List<String> own =
          commands.stream().filter(each -> each.startsWith(operation.words())).toList();
      for (Choice choice : operation.choices()) {
        boolean elsewhere =
            Set.of(Operation.GROUPS, Operation.STAGES, "--accept").contains(choice.name());
        if (!elsewhere && own.stream().noneMatch(each -> each.contains(" " + choice.name()))) {
          unshown.add(operation.words() + " " + choice.name());
        }
      }
    }
    assertEquals(Set.of(), unshown);
  }

  @Test
  void saysWhichWordsAnOptionHas() {
    UnusableRequest unknown =
        assertThrows(
            UnusableRequest.class,
            () -> Operations.read(words("move method A#b --to C --pass everything")));
    assertEquals("--pass is values or owner, not everything.", unknown.getMessage());
  }

  @Test
  void doesNotReadWhatNoOperationKnows() {
    assertThrows(UnusableRequest.class, () -> Operations.read(words("order chaos A")));
    assertThrows(UnusableRequest.class, () -> Operations.read(words("order members A --deep")));
  }

  @Test
  void sayInOneLineWhatTheyDo() {
    for (Operation operation : Operations.all()) {
      assertTrue(operation.summary().length() <= 90, operation.summary());
      assertTrue(operation.summary().endsWith("."), operation.summary());
    }
  }
}
