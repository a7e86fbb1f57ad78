package paredown.refactor;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

class ExtractValueTest {
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> extractValue() throws IOException {
    return RefactoringCase.all(Path.of("src/test/resources/extract-value")).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }
}
