package ferry.desk;

/** Sells tickets. */
public final class TicketWindow {
  private final FerryDesk desk;

  public TicketWindow(FerryDesk desk) {
    this.desk = desk;
  }

  /** Sells a booking its tickets, and gives the receipt. */
  public String sell(Booking booking) {
    Sailing sailing = booking.sailing();
    if (sailing.cancelled()) {
      return sailing.label();
    }
    sailing.take(booking.passengers().size());
    return desk.pay(booking, desk.quote(booking));
  }

  /** What a passenger who travels alone is handed. */
  public String slip(Passenger passenger, int fare) {
    return new Ticket(passenger, fare).text();
  }
}
