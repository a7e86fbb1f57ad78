package ferry.desk;

import ferry.fleet.Berth;
import ferry.fleet.Vessel;

/** Sees to it that every vessel has a place at the quay. */
public final class HarbourMaster {
  private final FerryDesk desk;

  public HarbourMaster(FerryDesk desk) {
    this.desk = desk;
  }

  /** Brings a vessel in; tells where she lies. */
  public String arrival(Vessel vessel) {
    Berth berth = desk.moor(vessel);
    return berth == null ? vessel.name() + " waits outside" : vessel.name() + " at " + berth.name();
  }

  public void departure(Vessel vessel) {
    desk.castOff(vessel);
  }
}
