package ferry.quay;

import ferry.fleet.Vessel;

/** Takes the lines of vessels that come in, and lets them go. */
public final class LineHandler {
  private final QuayBook book;

  public LineHandler(QuayBook book) {
    this.book = book;
  }

  /** Makes a vessel fast, unless she lies somewhere already. */
  public boolean makeFast(Vessel vessel, String berth) {
    if (!book.berthOf(vessel.name()).equals("at sea")) {
      return false;
    }
    book.moored(vessel.name(), berth);
    return true;
  }

  public void letGo(Vessel vessel) {
    book.left(vessel.name());
  }
}
