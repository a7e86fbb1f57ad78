package paredown.refactor;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

class ChangeTypeTest {
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> changeType() throws IOException {
    return RefactoringCase.all(Path.of("src/test/resources/change-type")).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }
}
