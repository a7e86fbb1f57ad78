package ferry.desk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import ferry.fleet.Berth;
import ferry.fleet.Fleet;
import ferry.fleet.Vessel;
import ferry.tide.Tide;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class CounterTest {
  private static final Instant NOON = Instant.parse("2031-05-04T12:00:00Z");
  private final FerryDesk desk = new FerryDesk(800, 200, 500);
  private final Vessel tern = new Vessel("Tern", 150, 24, 40);

  private Sailing at(Instant departs) {
    return new Sailing(
        "T" + departs.getEpochSecond() % 1000,
        tern,
        "Quay",
        "Skerry",
        departs,
        departs.plus(Duration.ofMinutes(40)),
        new Tide(NOON, 360, false));
  }

  @Test
  void sellsTicketsAndTakesPlaces() {
    Sailing sailing = at(NOON);
    Booking booking = new Booking("B7", sailing).with(new Passenger("Ansa", 30, false, false));
    assertEquals("Received 8.00 for B7", new TicketWindow(desk).sell(booking));
    assertEquals(39, sailing.free());
    Manifest manifest = new Manifest(sailing);
    manifest.board(booking);
    assertEquals(1, manifest.count());
    assertTrue(manifest.text().endsWith("Ansa\n"));
  }

  @Test
  void keepsOtherSailingsOffTheManifest() {
    Booking booking = new Booking("B7", at(NOON));
    Manifest manifest = new Manifest(at(NOON));
    assertThrows(IllegalArgumentException.class, () -> manifest.board(booking));
  }

  @Test
  void bringsVesselsIn() {
    HarbourMaster master = new HarbourMaster(desk);
    assertEquals("Tern waits outside", master.arrival(tern));
    desk.addBerth(new Berth("North", 300, 30));
    assertEquals("Tern at North", master.arrival(tern));
    master.departure(tern);
  }

  @Test
  void findsTheNextSailingThatHasRoom() {
    Timetable timetable = new Timetable();
    Sailing later = at(NOON.plus(Duration.ofHours(1)));
    timetable.add(later);
    Sailing first = at(NOON);
    timetable.add(first);
    assertEquals(Optional.of(first), timetable.next(NOON, 1));
    first.take(40);
    assertEquals(Optional.of(later), timetable.next(NOON, 1));
    assertEquals(Optional.of(Duration.ofMinutes(40)), timetable.longest());
    assertThrows(
        IllegalArgumentException.class, () -> timetable.add(at(NOON.plus(Duration.ofHours(6)))));
  }

  @Test
  void choosesTheSmallestVesselThatIsLargeEnough() {
    Fleet fleet = new Fleet();
    fleet.add(new Vessel("Gannet", 220, 48, 160));
    fleet.add(tern);
    assertEquals("Tern", fleet.smallestFor(12).orElseThrow().name());
    assertEquals("Gannet", fleet.smallestFor(41).orElseThrow().name());
    assertEquals(Optional.empty(), fleet.named("Auk"));
  }
}
