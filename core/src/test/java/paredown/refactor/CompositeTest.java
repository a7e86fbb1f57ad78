package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.journal.Journal;
import paredown.journal.Step;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.operation.rename.RenameType;
import paredown.refactor.plan.Judged;

class CompositeTest {
  private static final String SAILING =
      """
      package ferry;

      class Sailing {
        private int high;
        private int low;
        int minutes;

        int range() {
          return high - low;
        }

        int middle() {
          return range() / 2;
        }

        int twice() {
          return range() * 2;
        }
      }
      """;
  private static final String DESK =
      """
      package ferry;

      class Desk {
        int all(Sailing one) {
          return one.range() + one.middle() + one.twice() + one.minutes;
        }
      }
      """;

  @TempDir Path folder;

  /** Several refactorings as one. */
  private record Chain(List<Refactoring> all) implements Refactoring {
    @Override
    public Planned plan(Sources sources, SourceIndex index) {
      throw new UnsupportedOperationException();
    }

    @Override
    public Optional<Steps> steps(Sources sources) {
      return Optional.of(new Steps("Tide levels are a class of their own.", all));
    }

    @Override
    public String command() {
      return "pare chain";
    }

    @Override
    public String says() {
      return "chain";
    }
  }

  private static final Refactoring EXTRACT =
      new ExtractClass(
          "Sailing",
          List.of("high", "low"),
          List.of("range()"),
          "Levels",
          new ExtractClass.Wishes(
              Optional.empty(),
              Set.of(),
              false,
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              List.of()));

  private static Refactoring move(String method) {
    return new MoveMethod(
        "Sailing",
        method,
        "Levels",
        new MoveMethod.Wishes(
            Optional.empty(),
            Optional.of(true),
            false,
            Optional.empty(),
            Set.of(RefusalKind.MAYBE_NULL)));
  }

  private Sources sources() {
    return new Fixture(folder)
        .with("src/ferry/Sailing.java", SAILING)
        .with("src/ferry/Desk.java", DESK)
        .sources();
  }

  private Map<String, String> onDisk() throws IOException {
    Map<String, String> found = new TreeMap<>();
    try (Stream<Path> files = Files.walk(folder.resolve("src"))) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        found.put(file.getFileName().toString(), Files.readString(file));
      }
    }
    return found;
  }

  @Test
  void extractsMovesTwoMethodsIntoWhatItMadeAndRenamesItAsOneStep() throws IOException {
    Sources sources = sources();
    Map<String, String> before = onDisk();
    Chain chain =
        new Chain(
            List.of(
                EXTRACT,
                move("middle()"),
                move("twice()"),
                new RenameType("Levels", "Tide", Set.of())));
    Judged judged = Judged.of(chain, sources, sources.index());
    assertTrue(judged.verdict().passed(), judged.verdict().toString());
    Journal journal = Journal.of(sources.project());
    Step step = journal.verify(journal.write(judged.change(), chain.command()));
    assertEquals(Set.of("Desk.java", "Sailing.java", "Tide.java"), onDisk().keySet());
    assertEquals(
        """
        package ferry;

        /** The high and low of a {@link Sailing}. */
        final class Tide {
          private int high;
          private int low;

          int range() {
            return high - low;
          }

          int middle(Sailing sailing) {
            return sailing.range() / 2;
          }

          int twice(Sailing sailing) {
            return sailing.range() * 2;
          }
        }
        """,
        onDisk().get("Tide.java"));
    assertTrue(onDisk().get("Sailing.java").contains("Tide levels = new Tide();"));
    assertEquals(DESK, onDisk().get("Desk.java"));
    journal.undo(step);
    assertEquals(before, onDisk());
  }

  @Test
  void namesThePlaceOnTheDiskWhereAStepIsRefused() {
    Sources sources = sources();
    Chain chain = new Chain(List.of(EXTRACT, new RenameType("Levels", "Desk", Set.of())));
    Refused refused = assertThrows(Refused.class, () -> Judged.of(chain, sources, sources.index()));
    assertEquals(RefusalKind.NAME_TAKEN, refused.kind());
    assertEquals(List.of("src/ferry/Desk.java"), refused.places());
  }

  @Test
  void doesAStepThatIsMadeOfSteps() {
    Sources sources = sources();
    ExtractClass asking =
        new ExtractClass(
            "Sailing",
            List.of(),
            List.of("twice()"),
            "Doubled",
            ExtractClass.Wishes.of(Optional.of(false), Set.of()).pass(ExtractClass.Pass.OWNER));

    Judged judged = Judged.of(new Chain(List.of(EXTRACT, asking)), sources, sources.index());

    assertTrue(judged.verdict().passed(), judged.verdict().toString());
    Sources after = judged.change().after(sources);
    assertTrue(
        after.text("src/ferry/Doubled.java").text().contains("static int twice(Sailing sailing)"));
    assertTrue(
        after.text("src/ferry/Desk.java").text().contains("one.middle() + Doubled.twice(one)"));
  }
}
