package paredown.refactor;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import paredown.Fixture;
import paredown.program.Sources;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.extractmethod.ExtractPieces;
import paredown.refactor.plan.Judged;

class ExtractPiecesTest {
  @TempDir Path folder;

  @Test
  void piecesBecomeMethodsInOneChangeAndOneThatIsGoneByThenIsNamed() {
    Sources sources = new Fixture(folder).with("src/ferry/Desk.java", DESK).sources();
    ExtractPieces pieces =
        new ExtractPieces(
            List.of(piece(5, 7, "weigh"), piece(8, 10, "price"), piece(14, 16, "again")));
    Judged judged = Judged.of(pieces, sources, sources.index());
    assertTrue(judged.verdict().passed());
    assertEquals(AFTER, judged.change().files().get(0).after().text());
    List<String> left =
        judged.change().report().notes().stream().filter(each -> each.startsWith("Left")).toList();
    assertEquals(1, left.size(), left.toString());
    assertTrue(left.get(0).startsWith("Left out: extract method again"), left.toString());
    assertEquals("extract methods weigh, price", judged.refactoring().says());
  }

  private static ExtractMethod piece(int first, int last, String name) {
    String place = "src/ferry/Desk.java:%d-%d".formatted(first, last);
    return new ExtractMethod(place, name).with(Duplicates.ALL);
  }

  private static final String DESK =
      """
      package ferry;

      class Desk {
        int car(int length, int wheels) {
          int weight = length * 3 + wheels;
          weight += wheels * 40;
          weight -= length / 2;
          int fare = weight * 7;
          fare += weight / 9;
          fare -= fare % 5;
          return fare;
        }
        int lorry(int length, int wheels) {
          int weight = length * 3 + wheels;
          weight += wheels * 40;
          weight -= length / 2;
          int fare = weight * 7;
          fare += weight / 9;
          fare -= fare % 5;
          return fare * 2;
        }
      }
      """;

  private static final String AFTER =
      """
      package ferry;

      class Desk {
        int car(int length, int wheels) {
          int weight = weigh(length, wheels);
          int fare = price(weight);
          return fare;
        }

        private int price(int weight) {
          int fare = weight * 7;
          fare += weight / 9;
          fare -= fare % 5;
          return fare;
        }

        private int weigh(int length, int wheels) {
          int weight = length * 3 + wheels;
          weight += wheels * 40;
          weight -= length / 2;
          return weight;
        }
        int lorry(int length, int wheels) {
          int weight = weigh(length, wheels);
          int fare = price(weight);
          return fare * 2;
        }
      }
      """;
}
