package ferry.desk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertThrows;

import ferry.fleet.Berth;
import ferry.fleet.Vessel;
import ferry.tide.Tide;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FerryDeskTest {
  private static final Instant NOON = Instant.parse("2031-05-04T12:00:00Z");
  private final FerryDesk desk = new FerryDesk(800, 200, 500);
  private final Vessel tern = new Vessel("Tern", 150, 24, 40);
  private final Sailing sailing =
      new Sailing(
          "T1", tern, "Quay", "Skerry", NOON, NOON.plusSeconds(2400), new Tide(NOON, 360, true));

  @ParameterizedTest
  @CsvSource({"3, 0", "15, 400", "16, 800", "69, 800", "70, 400"})
  void asksByAge(int age, int fare) {
    assertEquals(fare, desk.fareFor(new Passenger("Ansa", age, false, false)));
  }

  @Test
  void letsIslandersCrossFreeInWinter() {
    Passenger islander = new Passenger("Ruve", 40, true, false);
    assertEquals(600, desk.fareFor(islander));
    desk.setSeason(Season.WINTER);
    assertEquals(0, desk.fareFor(islander));
  }

  @Test
  void asksForBicycles() {
    desk.setSeason(Season.SUMMER);
    assertEquals(1250, desk.fareFor(new Passenger("Ansa", 30, false, true)));
  }

  @Test
  void asksForCarsByTheMetreBegun() {
    assertEquals(2500, desk.fareFor(new Car("SK 4", 401, false)));
    assertEquals(3750, desk.fareFor(new Car("SK 4", 500, true)));
  }

  @Test
  void letsOneOfTenGoFree() {
    Booking booking = new Booking("B1", sailing);
    for (int i = 0; i < 10; i++) {
      booking.with(new Passenger("P" + i, 30, false, false));
    }
    assertEquals(7200, desk.quote(booking));
  }

  @Test
  void moorsAtTheShortestBerthThatFits() {
    desk.addBerth(new Berth("Long", 300, 60));
    desk.addBerth(new Berth("Short", 300, 30));
    desk.addBerth(new Berth("Shallow", 150, 25));
    assertEquals("Short", desk.moor(tern).name());
    assertEquals("Long: free\nShort: Tern\nShallow: free\n", desk.quay());
    desk.castOff(tern);
    assertEquals("Long: free\nShort: free\nShallow: free\n", desk.quay());
  }

  @Test
  void sendsNobodyToAClosedBerth() {
    Berth berth = new Berth("Long", 300, 60);
    berth.close();
    desk.addBerth(berth);
    assertNull(desk.moor(tern));
    assertFalse(desk.fits(tern, berth));
    assertEquals("Long: closed\n", desk.quay());
  }

  @Test
  void refusesANegativeClearance() {
    assertThrows(IllegalArgumentException.class, () -> desk.setClearance(-1));
  }

  @Test
  void keepsTheNewestNotices() {
    desk.setBoard(2);
    desk.announce("Fog");
    desk.announce("Wind");
    desk.announce("Fog");
    desk.announce("Sun");
    assertEquals("Fog\nSun", desk.boardText());
  }

  @Test
  void tellsThatASailingIsCancelled() {
    desk.announce(sailing);
    assertEquals("No notices.", desk.boardText());
    sailing.take(38);
    desk.announce(sailing);
    assertEquals("T1: last places", desk.boardText());
    sailing.cancel();
    desk.announce(sailing);
    assertEquals("T1: last places\nT1 does not sail today", desk.boardText());
  }

  @Test
  void takesMoneyAndGivesItBack() {
    Booking booking = new Booking("B1", sailing);
    assertEquals("Received 16.05 for B1", desk.pay(booking, 1605));
    assertThrows(IllegalStateException.class, () -> desk.pay(booking, 1));
    assertEquals(802, desk.refund(booking, 1605));
    assertEquals(803, desk.balance());
    assertEquals(
        "Received 16.05 for B1\nReturned 8.02 for B1\nRefunds 8.02\nBalance 8.03",
        desk.daySheet());
  }

  @Test
  void givesNothingBackForWhatWasNeverPaid() {
    assertEquals(0, desk.refund(new Booking("B2", sailing), 100));
  }
}
