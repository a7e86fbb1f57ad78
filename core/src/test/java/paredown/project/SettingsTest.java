package paredown.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SettingsTest {
  @TempDir Path root;

  private Settings read(String text) throws IOException {
    Files.writeString(root.resolve("pare.yaml"), text);
    return Settings.read(root);
  }

  private String complaint(String text) {
    ProjectUnreadable e = assertThrows(ProjectUnreadable.class, () -> read(text));
    return e.getMessage() + " " + e.advice();
  }

  @Test
  void readsEveryKey() throws IOException {
    Settings settings =
        read(
            """
            test-command: make test
            test-reports: [reports, more]
            test-timeout: 90s
            release: 17
            encoding: ISO-8859-1
            exclude: "**/generated/**"
            limits:
              god-complexity: 60
            """);
    assertEquals("make test", settings.testCommand().orElseThrow());
    assertEquals(List.of("reports", "more"), settings.testReports());
    assertEquals(Duration.ofSeconds(90), settings.testTimeout());
    assertEquals(17, settings.release().orElseThrow());
    assertEquals(StandardCharsets.ISO_8859_1, settings.encoding().orElseThrow());
    assertEquals(Map.of("god-complexity", 60), settings.limits());
    assertTrue(settings.excludes("src/generated/A.java"));
    assertFalse(settings.excludes("src/main/A.java"));
  }

  @Test
  void complainsOfWhatIsNestedTooDeeplyAndOfNoPattern() {
    String deep = "exclude: " + "[".repeat(100_000);
    assertTrue(complaint(deep).startsWith("pare.yaml is no YAML that pare reads."));
    assertTrue(complaint("exclude: [\"[a\"]").startsWith("pare.yaml:1: exclude: [a is no pattern"));
  }

  @Test
  void needsNoFile() {
    assertEquals(Settings.DEFAULT_TEST_TIMEOUT, Settings.read(root).testTimeout());
  }

  @Test
  void namesTheNearestKeyForAnUnknownOne() {
    assertEquals(
        "pare.yaml:2: relase: there is no such key. Did you mean release?",
        complaint("encoding: UTF-8\nrelase: 17\n"));
  }

  @Test
  void namesTheLineOfAnImpossibleValue() {
    assertTrue(complaint("encoding: UTF-9000\n").startsWith("pare.yaml:1: encoding: "));
    assertTrue(complaint("\nrelease: seventeen\n").startsWith("pare.yaml:2: release: "));
    assertTrue(complaint("test-timeout: soon\n").contains("soon is no time"));
    assertTrue(complaint("a: [1\nb: 2\n").contains("is no YAML"));
    assertTrue(complaint("- just\n- a list\n").contains("no list of keys"));
  }

  @Test
  void complainsOfARootThatIsNotThere() throws IOException {
    Settings settings = read("sources: [nowhere]\n");
    List<Module> modules = PlainFolders.modules(root);
    ProjectUnreadable e =
        assertThrows(ProjectUnreadable.class, () -> settings.overriding(root, modules));
    assertEquals("pare.yaml names nowhere, which is not there.", e.getMessage());
  }
}
