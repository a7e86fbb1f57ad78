package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A change of forty files that is killed, or meets somebody else's edit. */
class ManyFilesTest {
  private static final int CALLERS = 40;
  private static final String[] APPLY =
      "move method Desk#fare --to Tariff --through static --delegate none --apply".split(" ");

  @TempDir Path folder;
  private Ferry ferry;
  private Map<String, String> before;

  @BeforeEach
  void layOut() throws IOException {
    ferry =
        Ferry.in(folder)
            .with(
                "src/ferry/Desk.java",
                "package ferry;\n\nclass Desk {\n  static int fare(int age) {\n    return age / 2;\n"
                    + "  }\n}\n")
            .with("src/ferry/Tariff.java", "package ferry;\n\nclass Tariff {\n}\n");
    for (int i = 0; i < CALLERS; i++) {
      ferry.with(
          "src/ferry/Caller%d.java".formatted(i),
          "package ferry;\n\nclass Caller%d {\n  int due = Desk.fare(%d);\n}\n".formatted(i, i));
    }
    before = ferry.sources();
  }

  private Process start() throws IOException {
    return Ran.builder(folder, APPLY)
        .redirectErrorStream(true)
        .redirectOutput(folder.resolve("out.txt").toFile())
        .start();
  }

  @Test
  void changesThemAllAndTakesThemAllBack() throws IOException {
    Ran.pare(folder, APPLY).exits(0);
    Map<String, String> after = ferry.sources();
    assertEquals(
        CALLERS,
        after.entrySet().stream()
            .filter(file -> file.getValue().contains("Tariff.fare("))
            .filter(file -> file.getKey().contains("Caller"))
            .count());
    Ran.pare(folder, "undo").exits(0);
    assertEquals(before, ferry.sources());
  }

  @Test
  void isTakenBackWhereItWasKilledWhileTheTestsRan() throws Exception {
    ferry.tests("if ! grep -q fare src/ferry/Desk.java; then touch running; exec sleep 60; fi");
    Process process = start();
    for (int i = 0; i < 600 && !Files.exists(folder.resolve("running")); i++) {
      Thread.sleep(50);
    }
    Ran.kill(process);
    assertNotEquals(before, ferry.sources());
    assertTrue(Ran.pare(folder, "undo").exits(0).out().contains("Step 1 taken back"));
    assertEquals(before, ferry.sources());
  }

  @Test
  void isTakenBackWhereItWasKilledWhileItWrote() throws Exception {
    Path first = folder.resolve("src/ferry/Caller0.java");
    Process process = start();
    for (int i = 0; i < 60_000 && Files.readString(first).contains("Desk"); i++) {
      Thread.sleep(1);
    }
    Ran.kill(process);
    assertNotEquals(before, ferry.sources());
    Ran.pare(folder, "undo").exits(0);
    assertEquals(before, ferry.sources());
  }

  @Test
  void leavesTheOneFileAloneThatSomebodyEditedMeanwhile() throws IOException {
    ferry.tests(
        "if ! grep -q fare src/ferry/Desk.java; then echo '// mine' >> src/ferry/Caller7.java; exit 1; fi");
    Ran ran = Ran.pare(folder, APPLY).exits(4);
    assertTrue(ran.out().contains("src/ferry/Caller7.java"), ran.out());
    Map<String, String> now = new TreeMap<>(ferry.sources());
    String edited = now.remove("src/ferry/Caller7.java");
    assertTrue(edited.endsWith("// mine\n"), edited);
    Map<String, String> others = new TreeMap<>(before);
    others.remove("src/ferry/Caller7.java");
    assertEquals(others, now);
  }
}
