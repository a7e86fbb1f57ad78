package ferry.tide;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import ferry.desk.Season;
import java.time.Instant;
import java.time.Month;
import org.junit.jupiter.api.Test;

class TideTableTest {
  private static final Instant HIGH = Instant.parse("2031-05-04T12:00:00Z");

  @Test
  void fallsByASixthInEachHour() {
    Tide tide = new Tide(HIGH, 360, true);
    assertEquals(360, tide.depthAt(HIGH));
    assertEquals(300, tide.depthAt(HIGH.plusSeconds(3600)));
    assertEquals(0, tide.depthAt(HIGH.minusSeconds(8 * 3600)));
  }

  @Test
  void findsTheNearestTide() {
    TideTable table = new TideTable();
    assertThrows(IllegalStateException.class, () -> table.nearest(HIGH));
    Tide noon = new Tide(HIGH, 360, true);
    Tide night = new Tide(HIGH.plusSeconds(44700), 340, true);
    table.add(night);
    table.add(noon);
    assertEquals(noon, table.nearest(HIGH.plusSeconds(60)));
    assertEquals(night, table.nearest(HIGH.plusSeconds(40000)));
    assertEquals(2, table.size());
  }

  @Test
  void hasSeasonsByMonth() {
    assertEquals(Season.SUMMER, Season.of(Month.JULY));
    assertEquals(Season.WINTER, Season.of(Month.JANUARY));
    assertEquals(Season.SHOULDER, Season.of(Month.MAY));
  }
}
