package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AskTest {
  private static final String[] EXTRACT =
      "extract method Berth:2:29-2:55 --name shown --duplicates ask".split(" ");

  @TempDir Path folder;

  @BeforeEach
  void layOut() throws IOException {
    Files.createDirectories(folder.resolve("src"));
    Files.writeString(folder.resolve("pare.yaml"), "sources: [src]\ntest-command: \"true\"\n");
    Files.writeString(
        folder.resolve("src/Berth.java"),
        """
        class Berth {
          String north(int m) { return m == 0 ? "none" : m + "m"; }
          String south(int m) { return m == 0 ? "none" : m + "m"; }
          String west(int m) { return m == 0 ? "none" : m + "m"; }
        }
        """);
  }

  @Test
  void asksForEachPlaceAndLeavesThoseThatAreDenied() throws Exception {
    ProcessBuilder builder = Ran.builder(folder, EXTRACT);
    builder.environment().put("JDK_JAVA_OPTIONS", "-Dpare.terminals=02");
    Path answers = Files.writeString(folder.resolve("answers"), "perhaps\nno\ny\n");
    Path out = folder.resolve("out");
    Path err = folder.resolve("err");
    builder.redirectInput(answers.toFile());
    builder.redirectOutput(out.toFile()).redirectError(err.toFile());
    assertEquals(0, builder.start().waitFor(), () -> "it was asked for an answer");
    String asked = Files.readString(err);
    assertTrue(asked.contains("Shall line 3 call shown, too? [y/n] (1 of 2)"), asked);
    assertTrue(asked.contains("Shall line 4 call shown, too? [y/n] (2 of 2)"), asked);
    String preview = Files.readString(out);
    assertTrue(preview.contains("-  String west"), preview);
    assertTrue(!preview.contains("-  String south"), preview);
    assertTrue(preview.contains("--duplicates any --leave src/Berth.java:3"), preview);
  }

  @Test
  void saysWhatToSayInsteadWhereNobodyCanBeAsked() {
    Ran ran = Ran.pare(folder, EXTRACT).exits(2);
    assertTrue(ran.err().contains("--duplicates all, and --leave FILE:LINE"), ran.err());
  }

  @Test
  void leavesNothingWhereNothingIsAlike() {
    String command = "extract method Berth:2:29-2:55 --name shown --duplicates all --leave ";
    Ran ran = Ran.pare(folder, (command + "src/Berth.java:9").split(" ")).exits(2);
    assertTrue(ran.err().contains("src/Berth.java:3 and src/Berth.java:4"), ran.err());
  }
}
