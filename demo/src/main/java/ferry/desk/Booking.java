package ferry.desk;

import java.util.ArrayList;
import java.util.List;

/** What one party has booked on one sailing. */
public final class Booking {
  private final String reference;
  private final Sailing sailing;
  private final List<Passenger> passengers = new ArrayList<>();
  private boolean paid;

  public Booking(String reference, Sailing sailing) {
    this.reference = reference;
    this.sailing = sailing;
  }

  public Booking with(Passenger passenger) {
    passengers.add(passenger);
    return this;
  }

  public String reference() {
    return reference;
  }

  public Sailing sailing() {
    return sailing;
  }

  public List<Passenger> passengers() {
    return passengers;
  }

  public boolean paid() {
    return paid;
  }

  public void markPaid() {
    paid = true;
  }
}
