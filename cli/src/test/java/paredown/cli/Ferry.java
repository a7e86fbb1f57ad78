package paredown.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;

/** A small project of plain folders, whose tests are a shell script. */
final class Ferry {
  static final String SAILING =
      """
      package ferry;

      /** One crossing. */
      public class Sailing {
        private final int departs;
        private final int arrives;
        private int taken;

        public Sailing(int departs, int arrives) {
          this.departs = departs;
          this.arrives = arrives;
        }

        public int crossing() {
          return arrives - departs;
        }

        public void take() {
          taken++;
        }
      }
      """;

  private final Path root;

  private Ferry(Path root) {
    this.root = root;
  }

  static Ferry in(Path root) throws IOException {
    return new Ferry(root).with("src/ferry/Sailing.java", SAILING).tests("exit 0");
  }

  Ferry with(String path, String text) throws IOException {
    Path file = root.resolve(path);
    Files.createDirectories(file.getParent());
    Files.write(file, text.getBytes(StandardCharsets.UTF_8));
    return this;
  }

  /** Sets the script that runs the tests. */
  Ferry tests(String script) throws IOException {
    with("test.sh", script + "\n");
    return with("pare.yaml", "test-command: sh test.sh\n");
  }

  /** The sources as they are now. */
  Map<String, String> sources() throws IOException {
    Map<String, String> found = new TreeMap<>();
    try (Stream<Path> files = Files.walk(root.resolve("src"))) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        found.put(root.relativize(file).toString(), Files.readString(file));
      }
    }
    return found;
  }
}
