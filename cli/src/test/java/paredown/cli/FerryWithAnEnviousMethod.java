package paredown.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** A project with one envious method, which tests of findings add to. */
abstract class FerryWithAnEnviousMethod {
  static final String BERTH =
      """
      package ferry;

      public class Berth {
        private int depth;
        private int length;
        private boolean closed;

        int depth() { return depth; }
        int length() { return length; }
        boolean closed() { return closed; }
        void close() { closed = true; }
      }
      """;
  static final String PILOT =
      """
      package ferry;

      public class Pilot {
        int seen;

        boolean fits(Berth berth) {
          return !berth.closed() && berth.depth() > 2 && berth.length() < 9;
        }
      }
      """;
  @TempDir Path folder;
  Ferry ferry;

  @BeforeEach
  void layOut() throws IOException {
    ferry = Ferry.in(folder).with("src/ferry/Berth.java", BERTH);
    ferry.with("src/ferry/Pilot.java", PILOT);
  }

  Ran survey(String... options) {
    List<String> words = new ArrayList<>(List.of("survey"));
    words.addAll(List.of(options));
    return Ran.pare(folder, words.toArray(String[]::new));
  }

  String id() {
    return survey("--format", "json").exits(0).json().get("findings").get(0).get("id").asText();
  }
}
