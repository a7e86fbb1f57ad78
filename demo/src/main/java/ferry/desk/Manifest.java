package ferry.desk;

import java.util.ArrayList;
import java.util.List;

/** The list of everybody on board, for the harbour office. */
public final class Manifest {
  private final Sailing sailing;
  private final List<Passenger> aboard = new ArrayList<>();

  public Manifest(Sailing sailing) {
    this.sailing = sailing;
  }

  public void board(Booking booking) {
    if (booking.sailing() != sailing) {
      throw new IllegalArgumentException(booking.reference() + " is for another sailing");
    }
    aboard.addAll(booking.passengers());
  }

  public int count() {
    return aboard.size();
  }

  public String text() {
    StringBuilder text = new StringBuilder(sailing.label()).append('\n');
    aboard.forEach(passenger -> text.append(passenger.name()).append('\n'));
    return text.toString();
  }
}
