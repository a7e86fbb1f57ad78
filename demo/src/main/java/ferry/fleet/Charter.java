package ferry.fleet;

/** Lets vessels to parties. */
public final class Charter {
  private final VesselDirectory directory;

  public Charter(VesselDirectory directory) {
    this.directory = directory;
  }

  /** What a party is told: the vessel that it wants if she is large enough, else another. */
  public String offer(String wanted, int passengers) {
    return directory
        .named(wanted)
        .filter(vessel -> vessel.places() >= passengers)
        .or(() -> directory.smallestFor(passengers))
        .map(vessel -> vessel.name() + " is yours")
        .orElse("nothing afloat is large enough");
  }
}
