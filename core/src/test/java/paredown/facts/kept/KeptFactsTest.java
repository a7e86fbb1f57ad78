package paredown.facts.kept;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.facts.Drawn;
import paredown.facts.FactsReader;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.project.Workspace;
import paredown.text.Lexer;
import paredown.text.Token;

class KeptFactsTest {
  private static final int EDITS = 100;

  @TempDir Path folder;

  private final Map<String, String> texts = new LinkedHashMap<>();

  @BeforeEach
  void layOut() {
    texts.putAll(FILES);
    texts.forEach(this::write);
    assertEquals(List.of(), read().errors());
  }

  @Test
  void theFactsAreTheSameAfterAnyEdit() {
    Random random = new Random(20261129);
    for (int i = 0; i < EDITS; i++) {
      String file = one(List.copyOf(texts.keySet()), random);
      String before = texts.get(file);
      write(file, edited(before, random));
      assertSame("edit " + i + " of " + file + ":\n" + texts.get(file));
      if (random.nextInt(3) > 0) {
        write(file, before);
        assertSame("edit " + i + " of " + file + ", taken back");
      }
    }
  }

  @Test
  void aChangeWithinABodyIsReadAlone() {
    write("Tide.java", FILES.get("Tide.java").replace("height > low", "height >= low"));
    assertEquals(Set.of("Tide.java"), drawnAgain());
  }

  @Test
  void aChangedMemberIsSeenByThoseThatNameIt() {
    write("Tide.java", FILES.get("Tide.java").replace("int height()", "long height()"));
    assertEquals(Set.of("Berth.java", "Desk.java", "Tide.java"), drawnAgain());
  }

  @Test
  void aChangedMemberIsSeenByThoseBelow() {
    write("Vessel.java", FILES.get("Vessel.java").replace("void moor()", "void moor(int knots)"));
    assertEquals(Set.of("Barge.java", "Vessel.java"), drawnAgain());
  }

  @Test
  void whatAnInterfaceAsksForIsSeenByAll() {
    write("Rule.java", FILES.get("Rule.java").replace("Tide tide", "Berth berth"));
    assertEquals(texts.keySet(), drawnAgain());
  }

  @Test
  void otherFilesAreOtherSurroundings() {
    write("Lamp.java", "package ferry;\n\nclass Lamp {}\n");
    assertEquals(texts.keySet(), drawnAgain());
  }

  @Test
  void whatSomebodyWroteIntoTheCacheIsNotBelieved() throws IOException {
    Path kept = folder.resolve(".pare/cache/facts");
    byte[] bytes = Files.readAllBytes(kept);
    bytes[bytes.length / 2] ^= 1;
    Files.write(kept, bytes);
    assertEquals(texts.keySet(), drawnAgain());
  }

  @Test
  void whatAnotherVersionKeptInAnotherFormIsNotUsed() {
    for (String other : List.of("", "facts", "\u0001\u00ff\u00ff\u0003")) {
      new Workspace(folder).cache("facts", other.getBytes(StandardCharsets.ISO_8859_1));
      assertEquals(texts.keySet(), drawnAgain());
    }
  }

  @Test
  void nothingIsKeptThatIsNotUsed() {
    assertEquals(Set.of(), drawnAgain());
    assertTrue(Files.isRegularFile(folder.resolve(".pare/cache/facts")));
  }

  private Sources sources() {
    return new Fixture(folder).sources();
  }

  /** The facts as they are read with what was kept. */
  private Drawn read() {
    Sources sources = sources();
    KeptFacts facts = KeptFacts.of(sources, sources.paths(SourceFile.Kind.MAIN));
    Drawn drawn = facts.read();
    facts.keep();
    return drawn;
  }

  /** The names of the files that had to be read again. */
  private Set<String> drawnAgain() {
    Sources sources = sources();
    KeptFacts facts = KeptFacts.of(sources, sources.paths(SourceFile.Kind.MAIN));
    facts.read();
    Set<String> names = new TreeSet<>();
    facts.readAgain().forEach(file -> names.add(file.substring(file.lastIndexOf('/') + 1)));
    return names;
  }

  private void assertSame(String message) {
    Sources sources = sources();
    Drawn cold = FactsReader.read(sources, sources.paths(SourceFile.Kind.MAIN));
    Drawn warm = read();
    assertEquals(cold.facts().types(), warm.facts().types(), message);
    assertEquals(cold.errors(), warm.errors(), message);
    assertEquals(cold.facts().unresolved(), warm.facts().unresolved(), message);
  }

  private void write(String name, String text) {
    texts.put(name, text);
    new Fixture(folder).with("src/ferry/" + name, text);
  }

  private static <T> T one(List<T> some, Random random) {
    return some.get(random.nextInt(some.size()));
  }

  /** A text with a word of it in the place of another, a line less, a line twice, or a new line. */
  private static String edited(String text, Random random) {
    if (random.nextInt(3) == 0) {
      List<String> lines = new java.util.ArrayList<>(List.of(text.split("\n")));
      int line = 1 + random.nextInt(lines.size() - 1);
      switch (random.nextInt(3)) {
        case 0 -> lines.remove(line);
        case 1 -> lines.add(line, lines.get(line));
        default -> lines.add(lines.size() - 1, one(NEW, random));
      }
      return String.join("\n", lines) + "\n";
    }
    List<Token> words =
        Lexer.tokens(text).stream()
            .filter(token -> Character.isJavaIdentifierStart(text.charAt(token.start())))
            .toList();
    Token gone = one(words, random);
    Token other = one(words, random);
    String word =
        random.nextInt(4) == 0 ? one(WORDS, random) : text.substring(other.start(), other.end());
    String edited = text.substring(0, gone.start()) + word + text.substring(gone.end());
    return edited;
  }

  private static final List<String> WORDS =
      List.of(
          "height", "Vessel", "Barge", "int", "long", "Tide", "moor", "static", "private", "name");

  private static final List<String> NEW =
      List.of(
          "  int height() { return 3; }",
          "  void moor() {}",
          "  private void moor(long knots) {}",
          "  static String name = \"a\";",
          "  abstract void drift();",
          "  static final int LOW = 3;",
          "  class Tide {}",
          "  public String toString() { return \"\"; }");

  private static final Map<String, String> FILES =
      Map.of(
          "Tide.java",
          """
          package ferry;

          class Tide {
            static final int LOW = 2;
            private int height;

            Tide(int height) {
              this.height = height;
            }

            int height() {
              return height;
            }

            boolean isHigh(int low) {
              return height > low + LOW;
            }
          }
          """,
          "Berth.java",
          """
          package ferry;

          import java.util.ArrayList;
          import java.util.List;

          class Berth {
            private final List<Vessel> moored = new ArrayList<>();
            private String name = "north";
            int depth;

            boolean takes(Vessel vessel, Tide tide) {
              int under = depth + tide.height() - vessel.draft();
              if (under > Tide.LOW) {
                moored.add(vessel);
                return true;
              }
              return false;
            }

            Vessel last() {
              return moored.get(moored.size() - 1);
            }

            String name() {
              return name;
            }
          }
          """,
          "Vessel.java",
          """
          package ferry;

          abstract class Vessel {
            protected int draft;

            int draft() {
              return draft;
            }

            void moor() {
              draft = draft + 1;
            }

            abstract String called();
          }
          """,
          "Barge.java",
          """
          package ferry;

          class Barge extends Vessel {
            String called() {
              return "barge";
            }

            static class Deep extends Barge {
              Deep() {
                draft = 9;
              }
            }
          }
          """,
          "Rule.java",
          """
          package ferry;

          interface Rule {
            boolean allows(Tide tide);

            default Rule and(Rule other) {
              return tide -> allows(tide) && other.allows(tide);
            }
          }
          """,
          "Desk.java",
          """
          package ferry;

          class Desk {
            private final Berth berth = new Berth();
            private final Rule rule = tide -> tide.isHigh(1);

            String serve(Tide tide) {
              Rule both = rule.and(next -> next.height() > 4);
              if (both.allows(tide)) {
                return berth.last().called() + berth.name();
              }
              switch (tide.height()) {
                case Tide.LOW:
                  return "low";
                default:
                  return new Barge.Deep().called();
              }
            }
          }
          """);
}
