package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import paredown.refactor.asked.Operation;
import paredown.refactor.operation.Operations;
import paredown.refactor.plan.Arguments;

/** The examples in the help of the refactorings, each typed in the demo. */
class HelpExamplesTest {
  @TempDir static Path folder;

  @BeforeAll
  static void layOutTheDemo() throws IOException {
    Built.layOutSample(folder.resolve("ferry"));
  }

  @TestFactory
  Stream<DynamicTest> previewsWhatItsHelpShows() {
    return Operations.all().stream()
        .flatMap(operation -> examples(operation).stream())
        .map(example -> DynamicTest.dynamicTest(example, () -> check(example)));
  }

  private static List<String> examples(Operation operation) {
    List<String> examples =
        operation.examples().stream().map(each -> each.replaceAll("\\\\\n +", "")).toList();
    assertFalse(examples.isEmpty(), operation.words());
    return examples;
  }

  /** In this process, since one for each would take most of the time of all tests. */
  private static void check(String example) {
    List<String> words = new ArrayList<>(Arguments.words(example.substring("pare ".length())));
    words.addAll(List.of("--project", folder.resolve("ferry").toString()));
    assertEquals(0, Pare.run(words.toArray(String[]::new)), example);
  }
}
