package ferry.fleet;

import java.util.Optional;

/** Where to ask for a vessel. */
public final class VesselDirectory {
  private final Fleet fleet;

  public VesselDirectory(Fleet fleet) {
    this.fleet = fleet;
  }

  public Optional<Vessel> named(String name) {
    return fleet.named(name);
  }

  public Optional<Vessel> smallestFor(int passengers) {
    return fleet.smallestFor(passengers);
  }
}
