package paredown.facts;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.program.Sources;
import paredown.project.SourceFile;

class BodyTest {
  @TempDir Path folder;

  @Test
  void aStretchLeavesWhatItSetsAndNotAnotherVariableOfItsName() {
    Sources sources =
        new Fixture(folder)
            .with(
                "src/Deck.java",
                """
                class Deck {
                  int count(int[] rows, int[] posts) {
                    int all = 0;
                    for (int each : rows) {
                      all += each;
                    }
                    for (int each : posts) {
                      all -= each;
                    }
                    return all;
                  }
                }
                """)
            .sources();
    Facts facts = FactsReader.read(sources, sources.paths(SourceFile.Kind.MAIN)).facts();
    Body body = facts.type("Deck").orElseThrow().method("count(int[], int[])").orElseThrow().body();
    List<Span> outer = body.spans().stream().filter(span -> span.depth() == 0).toList();
    assertEquals(Set.of("all"), body.left(outer.get(1)));
    assertEquals(Set.of(), body.left(outer.get(3)));
  }
}
