package ferry.tide;

import java.time.Duration;
import java.time.Instant;

/** One high water at the bar, and how much water there is around it. */
public final class Tide {
  private final Instant highWater;
  private final int heightCm;
  private final boolean spring;

  public Tide(Instant highWater, int heightCm, boolean spring) {
    this.highWater = highWater;
    this.heightCm = heightCm;
    this.spring = spring;
  }

  public Instant highWater() {
    return highWater;
  }

  public int heightCm() {
    return heightCm;
  }

  public boolean spring() {
    return spring;
  }

  /** The depth over the bar, which falls by a sixth of the height in each hour from high water. */
  public int depthAt(Instant when) {
    long minutes = Math.abs(Duration.between(highWater, when).toMinutes());
    long fallen = minutes * heightCm / 360;
    return (int) Math.max(0, heightCm - fallen);
  }
}
