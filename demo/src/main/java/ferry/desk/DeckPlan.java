package ferry.desk;

import java.util.ArrayList;
import java.util.List;

/** Says where on board everybody finds a place. */
public final class DeckPlan {
  private final List<String> places = new ArrayList<>();

  /** The deck for one passenger: those who need it sit inside, bicycles travel below. */
  public String deckFor(Passenger passenger) {
    if (passenger.age() < 4 || passenger.age() >= 70) {
      return "saloon";
    }
    if (passenger.bicycle()) {
      return "car deck";
    }
    return passenger.islander() ? "mess" : "sun deck";
  }

  /** Seats a whole party. */
  public void seat(Booking booking) {
    for (Passenger passenger : booking.passengers()) {
      places.add(passenger.name() + ": " + deckFor(passenger));
    }
  }

  public String text() {
    return String.join("\n", places);
  }
}
