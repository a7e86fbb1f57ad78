package paredown.gate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TestReportsTest {
  private static final String REPORT =
      "<testsuite><testcase classname='ferry.BerthTest' name='fits'/></testsuite>";
  @TempDir Path folder;

  private void report(String name, long millis) throws IOException {
    Path file = Files.writeString(folder.resolve("TEST-" + name + ".xml"), REPORT);
    Files.setLastModifiedTime(file, FileTime.fromMillis(millis));
  }

  @Test
  void tellsHowManyTestClassesHaveReportedOfThoseThatDidLastTime() throws IOException {
    report("a", 1000);
    report("b", 1000);
    TestReports reports = new TestReports(List.of(folder));
    assertEquals("0 of 2 test classes", reports.soFar());
    report("a", 2000);
    assertEquals("1 of 2 test classes", reports.soFar());
    report("b", 2000);
    report("c", 2000);
    assertEquals("3 of 3 test classes", reports.soFar());
    assertEquals(3, reports.results().size());
  }

  @Test
  void countsWhatIsThereOnAFirstRun() throws IOException {
    TestReports reports = new TestReports(List.of(folder, folder.resolve("gone")));
    report("a", 2000);
    assertEquals("1 test class", reports.soFar());
  }

  @Test
  void doesNotReadWhatAReportNamesOutside() throws IOException {
    Path secret = Files.writeString(folder.resolve("secret"), "tides");
    String entity = "<!DOCTYPE t [<!ENTITY e SYSTEM '" + secret.toUri() + "'>]>";
    String failed = "<testcase classname='A' name='b'><failure>&e;</failure></testcase>";
    Path file = folder.resolve("TEST-a.xml");
    TestReports reports = new TestReports(List.of(folder));
    Files.writeString(file, entity + "<testsuite>" + failed + "</testsuite>");
    try {
      assertFalse(reports.results().toString().contains("tides"));
    } catch (IOException refused) {
      assertFalse(refused.getMessage().contains("tides"));
    }
  }
}
