package ferry.desk;

/** The right of one passenger to cross once. */
public final class Ticket {
  private final Passenger passenger;
  private final int fare;

  /** A free one. */
  public Ticket(Passenger passenger) {
    this(passenger, 0);
  }

  public Ticket(Passenger passenger, int fare) {
    this.passenger = passenger;
    this.fare = fare;
  }

  public Passenger passenger() {
    return passenger;
  }

  public int fare() {
    return fare;
  }

  /** What is paid in the end: the youngest travel free, islanders for half. */
  public int price() {
    if (passenger.age() < 4) {
      return 0;
    }
    return passenger.islander() ? fare / 2 : fare;
  }

  public String text() {
    return passenger.name() + ", " + price() + " cents";
  }
}
