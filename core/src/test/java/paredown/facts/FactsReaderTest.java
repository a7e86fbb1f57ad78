package paredown.facts;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.program.Program;
import paredown.program.Sources;
import paredown.project.SourceFile;

class FactsReaderTest {
  @TempDir Path folder;

  private Sources sources;
  private List<String> files;

  @BeforeEach
  void layOut() {
    sources =
        new Fixture(folder)
            .with("src/ferry/Berth.java", BERTH)
            .with("src/ferry/Desk.java", DESK)
            .with("src/quay/Quay.java", QUAY)
            .sources();
    files = sources.paths(SourceFile.Kind.MAIN);
  }

  @Test
  void partsTellWhatTheWholeTells() {
    Facts whole;
    Program program = Program.of(sources, files);
    assertEquals(List.of(), program.errors());
    whole = FactsDrawer.draw(program);
    Drawn parts =
        FactsReader.inParts(sources, files.stream().map(List::of).toList(), Set.copyOf(files));
    assertEquals(List.of(), parts.errors());
    assertEquals(whole.types(), parts.facts().types());
    assertEquals(whole.files(), parts.facts().files());
  }

  @Test
  void fewFilesAreOnePart() {
    assertTrue(FactsReader.read(sources, files).facts().type("ferry.Tide").isPresent());
    assertEquals(List.of(files), FactsReader.parts(sources, files));
  }

  @Test
  void listsUsesInTheOrderOfTheTextInEveryRun() {
    TypeFact desk = FactsReader.read(sources, files).facts().type("ferry.Desk").orElseThrow();
    MethodFact sails = desk.method("sails(Berth)").orElseThrow();
    assertEquals(
        List.of("height", "tide", "floats(Berth)", "depth()", "DEEP"),
        sails.uses().stream().map(MethodFact.MemberUse::member).toList());
  }

  private static final String BERTH =
      """
      package ferry;

      public class Berth {
        public static final int DEEP = 4;
        protected int depth = DEEP;
        private final java.util.List<String> log = new java.util.ArrayList<>();

        public int depth() {
          return depth;
        }

        public void note(Object text) {
          log.add(text.toString());
        }
      }

      class Tide {
        int height;

        boolean floats(Berth berth) {
          return berth.depth() + height > Berth.DEEP;
        }
      }
      """;

  private static final String DESK =
      """
      package ferry;

      class Desk {
        private final Tide tide = new Tide();

        boolean sails(Berth berth) {
          return tide.height > 2 && tide.floats(berth) && berth.depth() == Berth.DEEP;
        }
      }
      """;

  private static final String QUAY =
      """
      package quay;

      import ferry.Berth;

      class Quay extends Berth {
        @Override
        public int depth() {
          note(depth);
          return super.depth() + depth;
        }
      }
      """;
}
