package ferry.desk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import ferry.fleet.Vessel;
import ferry.tide.Tide;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class SailingTest {
  private static final Instant HIGH = Instant.parse("2031-05-04T12:00:00Z");
  private final Vessel tern = new Vessel("Tern", 150, 24, 40);

  private Sailing sailing(int hours) {
    Instant departs = HIGH.plus(Duration.ofHours(hours));
    Tide tide = new Tide(HIGH, 360, false);
    return new Sailing(
        "T1", tern, "Quay", "Skerry", departs, departs.plus(Duration.ofMinutes(40)), tide);
  }

  @Test
  void crossesInFortyMinutes() {
    assertEquals(Duration.ofMinutes(40), sailing(0).crossing());
  }

  @Test
  void floatsAtHighWater() {
    assertTrue(sailing(0).floats());
  }

  @Test
  void touchesGroundNearLowWater() {
    assertFalse(sailing(5).floats());
  }

  @Test
  void hasLeastWaterAtTheEndThatIsFurtherFromHighWater() {
    assertEquals(320, sailing(0).leastWater());
  }

  @Test
  void knowsTheEbb() {
    assertTrue(sailing(1).onTheEbb());
    assertFalse(sailing(-2).onTheEbb());
  }

  @Test
  void isUnderWayFromCastingOffUntilSheIsFast() {
    Sailing sailing = sailing(0);
    assertTrue(sailing.underWayAt(sailing.departs()));
    assertFalse(sailing.underWayAt(sailing.arrives()));
  }

  @Test
  void givesPlacesUntilSheIsFull() {
    Sailing sailing = sailing(0);
    sailing.take(38);
    assertEquals(2, sailing.free());
    assertThrows(IllegalStateException.class, () -> sailing.take(3));
  }

  @Test
  void hasNoPlacesWhenCancelled() {
    Sailing sailing = sailing(0);
    sailing.cancel();
    assertEquals(0, sailing.free());
    assertEquals("T1 Quay - Skerry (cancelled)", sailing.label());
  }
}
