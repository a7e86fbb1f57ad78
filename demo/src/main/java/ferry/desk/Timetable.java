package ferry.desk;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The sailings of a day, in the order in which they cast off. */
public final class Timetable {
  private final List<Sailing> sailings = new ArrayList<>();

  public void add(Sailing sailing) {
    if (!sailing.floats()) {
      throw new IllegalArgumentException(sailing.label() + " would touch ground");
    }
    sailings.add(sailing);
    sailings.sort(Comparator.comparing(Sailing::departs));
  }

  /** The next sailing with room for so many, from a time on. */
  public Optional<Sailing> next(Instant when, int places) {
    return sailings.stream()
        .filter(sailing -> !sailing.departs().isBefore(when))
        .filter(sailing -> sailing.free() >= places)
        .findFirst();
  }

  public Optional<Duration> longest() {
    return sailings.stream().map(Sailing::crossing).max(Comparator.naturalOrder());
  }
}
