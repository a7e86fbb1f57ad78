package ferry.tide;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The tides of a season, in order. */
public final class TideTable {
  private final List<Tide> tides = new ArrayList<>();

  public void add(Tide tide) {
    tides.add(tide);
    tides.sort(Comparator.comparing(Tide::highWater));
  }

  /** The tide whose high water is nearest to a time. */
  public Tide nearest(Instant when) {
    return tides.stream()
        .min(Comparator.comparing(tide -> Duration.between(tide.highWater(), when).abs()))
        .orElseThrow(() -> new IllegalStateException("the table is empty"));
  }

  public int size() {
    return tides.size();
  }
}
