package ferry.desk;

import ferry.fleet.Vessel;
import ferry.tide.Tide;
import java.time.Duration;
import java.time.Instant;

/** One crossing of one vessel. */
public final class Sailing {
  private final String number;
  private final Vessel vessel;
  private final String from;
  private final String to;

  /** When she casts off. */
  private final Instant departs;

  /** When she is fast at the other side. */
  private final Instant arrives;

  /** The tide that she crosses the bar on. */
  private final Tide tide;

  private int taken;
  private boolean cancelled;

  public Sailing(
      String number,
      Vessel vessel,
      String from,
      String to,
      Instant departs,
      Instant arrives,
      Tide tide) {
    this.number = number;
    this.vessel = vessel;
    this.from = from;
    this.to = to;
    this.departs = departs;
    this.arrives = arrives;
    this.tide = tide;
  }

  public String number() {
    return number;
  }

  public Vessel vessel() {
    return vessel;
  }

  public Instant departs() {
    return departs;
  }

  public Instant arrives() {
    return arrives;
  }

  /** How long she is under way. */
  public Duration crossing() {
    return Duration.between(departs, arrives);
  }

  /** Whether she is under way at a time, and the bar is covered then. */
  public boolean underWayAt(Instant when) {
    return !when.isBefore(departs) && when.isBefore(arrives) && tide.depthAt(when) > 0;
  }

  /** The least water over the bar while she crosses; it is least at one of the ends. */
  public int leastWater() {
    return Math.min(tide.depthAt(departs), tide.depthAt(arrives));
  }

  /** Whether she arrives on a falling tide. */
  public boolean onTheEbb() {
    return arrives.isAfter(tide.highWater());
  }

  /** Whether there is water enough for her draught, with a hand's breadth to spare. */
  public boolean floats() {
    return leastWater() >= vessel.draughtCm() + 10;
  }

  public int free() {
    return cancelled ? 0 : vessel.places() - taken;
  }

  public void take(int places) {
    if (places > free()) {
      throw new IllegalStateException("only " + free() + " places are free on " + number);
    }
    taken += places;
  }

  public void cancel() {
    cancelled = true;
  }

  public boolean cancelled() {
    return cancelled;
  }

  public String label() {
    return number + " " + from + " - " + to + (cancelled ? " (cancelled)" : "");
  }
}
