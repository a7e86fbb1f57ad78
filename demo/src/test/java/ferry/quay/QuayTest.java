package ferry.quay;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import ferry.fleet.Vessel;
import java.util.List;
import org.junit.jupiter.api.Test;

class QuayTest {
  private final Vessel tern = new Vessel("Tern", 120, 18, 40);
  private final QuayBook book = new QuayBook();

  @Test
  void knowsWhereAVesselLies() {
    LineHandler handler = new LineHandler(book);
    assertTrue(handler.makeFast(tern, "North"));
    assertFalse(handler.makeFast(tern, "South"));
    assertEquals("Tern North\n1 moves today", new Lookout(book).tell(List.of("Tern")));
    handler.letGo(tern);
    handler.letGo(tern);
    assertEquals("Tern at sea\n2 moves today", new Lookout(book).tell(List.of("Tern")));
  }

  @Test
  void chargesForTheNightByTheMetre() {
    DuesClerk clerk = new DuesClerk(book);
    clerk.night(tern);
    assertEquals(2700, book.owed("Tern"));
    assertEquals("Received 0\nTern owes 27", new YearReport(book).text(List.of("Tern")));
  }

  @Test
  void givesBackWhatIsTooMuch() {
    DuesClerk clerk = new DuesClerk(book);
    clerk.night(tern);
    assertEquals(300, clerk.take(tern, 3000));
    assertEquals("Received 27", new YearReport(book).text(List.of("Tern")));
  }
}
