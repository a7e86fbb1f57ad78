package ferry.quay;

import ferry.fleet.Vessel;

/** Charges vessels for the night, and takes their money. */
public final class DuesClerk {
  private static final int CENTS_A_METRE = 150;
  private final QuayBook book;

  public DuesClerk(QuayBook book) {
    this.book = book;
  }

  public void night(Vessel vessel) {
    book.charge(vessel.name(), vessel.lengthM() * CENTS_A_METRE);
  }

  /** Takes money, and gives back what is too much. */
  public int take(Vessel vessel, int cents) {
    int due = Math.min(cents, book.owed(vessel.name()));
    book.pay(vessel.name(), due);
    return cents - due;
  }
}
