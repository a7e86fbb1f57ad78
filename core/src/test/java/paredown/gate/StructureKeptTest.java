package paredown.gate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Rendering;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Sources;

/** Hands the gate changes that a faulty refactoring could make, and sees each caught. */
class StructureKeptTest {
  private static final String PATH = "src/Quay.java";
  private static final String QUAY =
      """
      class Quay {
        int length = 3;
        int room(int a, int b, int c) {
          return a - (b - c);
        }
        void count(int first, int second) {
          length = first;
          length += second;
          record(first, second);
          if (first > 2) {
            length++;
          }
        }
        void record(int one, int other) { }
        boolean open(boolean tide, Quay next) {
          return tide && next.open(tide, this);
        }
        Object pick(boolean any, java.util.List<Integer> all) {
          return any ? all.get(0) : 2.5;
        }
        void loop() {
          for (;;) {
            break;
          }
        }
      }
      """;

  @TempDir Path folder;
  private final List<Replacement> edits = new ArrayList<>();
  private Sources sources;

  @BeforeEach
  void layOut() {
    sources = new Fixture(folder).with(PATH, QUAY).sources();
  }

  private int[] range(String text) {
    int start = QUAY.indexOf(text);
    assertTrue(start >= 0, text);
    return new int[] {start, start + text.length()};
  }

  private Carried carried(String text) {
    return Carried.range(PATH, range(text)[0], range(text)[1]);
  }

  private Copied copied(String text) {
    return new Copied(PATH, range(text)[0], range(text)[1], List.of());
  }

  private void replace(String text, Piece... pieces) {
    edits.add(Replacement.of(range(text)[0], range(text)[1], pieces));
  }

  private Verdict verdict() {
    List<String> paths = List.of(PATH);
    Change change =
        new Change(
            "a change made by hand",
            List.of(Rendering.edited(sources.text(PATH), edits, sources::text)),
            Map.of(),
            Map.of(),
            new TreeSet<>(paths),
            new Change.Report(List.of(), List.of(), List.of(), List.of()));
    return Gates.check(Program.of(sources, paths), change);
  }

  private void assertCaught(String sentence) {
    Verdict verdict = verdict();
    assertEquals(List.of(), verdict.errors(), "it must compile, or it proves nothing");
    assertTrue(
        verdict.breaks().stream().anyMatch(each -> each.contains(sentence)), verdict.toString());
  }

  @Test
  void aChangeOfNothingIsNoBreak() {
    replace("int length = 3;", carried("int length = 3;"));
    assertEquals(List.of(), verdict().breaks());
  }

  @Test
  void bracketsThatAreLostAreCaught() {
    replace("(b - c)", carried("b - c"));
    assertCaught("a - b");
  }

  @Test
  void bracketsThatAreTakenOffOneByOneAreCaught() {
    replace("(b");
    edits.clear();
    int open = QUAY.indexOf("(b - c)");
    edits.add(Replacement.removal(open, open + 1));
    edits.add(Replacement.removal(open + 6, open + 7));
    assertCaught("a - b");
  }

  @Test
  void statementsThatAreSwappedAreCaught() {
    replace("length = first;", carried("length += second;"));
    replace("length += second;", carried("length = first;"));
    assertCaught("is in another place than it was");
  }

  @Test
  void operandsThatAreSwappedAreCaught() {
    replace("a - (b - c)", carried("(b - c)"), Written.plain(" - "), carried("a "));
    assertCaught("would come behind what it came before");
  }

  @Test
  void argumentsOfOneTypeThatAreSwappedAreCaught() {
    int call = QUAY.indexOf("record(first, second)") + "record(".length();
    edits.add(Replacement.of(call, call + 5, Carried.range(PATH, call + 7, call + 13)));
    edits.add(Replacement.of(call + 7, call + 13, Carried.range(PATH, call, call + 5)));
    assertCaught("is in another place than it was");
  }

  @Test
  void aStatementThatIsDroppedIsCaughtThoughItsNamesAreDeclaredGone() {
    int[] range = range("length++;");
    Program program = Program.of(sources, List.of(PATH));
    List<Replacement.Dropped> dropped =
        program.uses().within(PATH, range[0], range[1]).stream()
            .map(use -> new Replacement.Dropped(use.place(), "nobody needs it"))
            .toList();
    edits.add(new Replacement(range[0], range[1], List.of(), dropped));
    assertCaught("+ was lost");
  }

  @Test
  void aStatementWithoutNamesThatIsDroppedIsCaught() {
    replace("break;", Written.plain(";"));
    assertCaught("break was lost");
  }

  @Test
  void aStatementThatIsDoubledIsCaught() {
    replace("length++;", carried("length++;"), Written.plain(" "), copied("length++;"));
    assertCaught("+ would be repeated");
  }

  @Test
  void aStatementThatIsCarriedTwiceIsCaught() {
    replace("length++;", carried("length++;"), Written.plain(" "), carried("length++;"));
    assertCaught("+ would be there twice");
  }

  @Test
  void aNotThatIsWrittenIsCaught() {
    int tide = QUAY.indexOf("tide && next");
    edits.add(Replacement.of(tide, tide, Written.plain("!")));
    assertCaught("! was not there before");
  }

  @Test
  void aLiteralThatIsChangedIsCaught() {
    int two = QUAY.indexOf("> 2)") + 2;
    edits.add(Replacement.of(two, two + 1, Written.plain("3")));
    assertCaught("3 was not there before");
    assertCaught("2 was lost");
  }

  @Test
  void aConditionWhoseTypeChangesIsCaught() {
    int list = QUAY.indexOf("Integer>");
    edits.add(
        Replacement.of(
            list,
            list + "Integer".length(),
            Written.text("").name("Object", "type java.lang.Object").done()));
    Verdict verdict = verdict();
    assertEquals(List.of(), verdict.errors());
    assertTrue(verdict.types().toString().contains("would have the type"), verdict.toString());
  }

  @Test
  void aProofThatSaysWhyLetsALiteralGo() {
    int two = QUAY.indexOf("> 2)") + 2;
    edits.add(Replacement.of(two, two + 1, Written.plain("2")).proving("it is the same number"));
    assertEquals(List.of(), verdict().breaks());
  }

  @Test
  void branchesThatChangePlacesAreCaught() {
    replace("all.get(0)", carried("2.5"));
    replace("2.5", carried("all.get(0)"));
    assertCaught("is in another place than it was");
  }

  @Test
  void branchesChangePlacesWhereTheConditionIsProvedToSayTheOpposite() {
    int any = QUAY.indexOf("any ?");
    edits.add(
        Replacement.of(any, any + 3, Written.plain("!"), Carried.range(PATH, any, any + 3))
            .proving("it says the opposite"));
    for (List<String> swapped :
        List.of(List.of("all.get(0)", "2.5"), List.of("2.5", "all.get(0)"))) {
      int[] range = range(swapped.get(0));
      edits.add(
          Replacement.of(range[0], range[1], carried(swapped.get(1)))
              .proving("the condition says the opposite"));
    }
    assertEquals(List.of(), verdict().breaks());
  }
}
