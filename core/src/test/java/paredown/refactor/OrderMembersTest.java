package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.UnusableRequest;
import paredown.program.Sources;
import paredown.refactor.operation.order.OrderMembers;
import paredown.refactor.plan.Judged;

class OrderMembersTest {
  private static final Path CASES = Path.of("src/test/resources/order-members");
  @TempDir Path folder;

  @TestFactory
  Stream<DynamicTest> orderMembers() throws IOException {
    return RefactoringCase.all(CASES).stream()
        .map(
            each ->
                DynamicTest.dynamicTest(
                    each.sentence(), () -> each.check(Files.createTempDirectory(folder, "case"))));
  }

  @Test
  void saysSoWhereAllIsInOrder() {
    Sources sources =
        new Fixture(folder)
            .with("src/Desk.java", "class Desk {\n  void a() {\n    b();\n  }\n  void b() {}\n}\n")
            .sources();
    OrderMembers order = new OrderMembers("Desk");
    String said =
        assertThrows(UnusableRequest.class, () -> Judged.of(order, sources, sources.index()))
            .getMessage();
    assertEquals("The methods of Desk are in reading order already.", said);
  }
}
