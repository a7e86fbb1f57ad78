package ferry.desk;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class DeckPlanTest {
  private final DeckPlan plan = new DeckPlan();

  private static Passenger passenger(int age, boolean islander, boolean bicycle) {
    return new Passenger("Isa", age, islander, bicycle);
  }

  @Test
  void seatsTheVeryYoungAndTheOldInside() {
    assertEquals("saloon", plan.deckFor(passenger(3, false, true)));
    assertEquals("saloon", plan.deckFor(passenger(70, true, false)));
  }

  @Test
  void keepsBicyclesBelow() {
    assertEquals("car deck", plan.deckFor(passenger(30, true, true)));
  }

  @Test
  void knowsTheIslanders() {
    assertEquals("mess", plan.deckFor(passenger(30, true, false)));
    assertEquals("sun deck", plan.deckFor(passenger(30, false, false)));
  }

  @Test
  void seatsAWholeParty() {
    plan.seat(new Booking("B1", null).with(passenger(30, false, false)));
    assertEquals("Isa: sun deck", plan.text());
  }
}
