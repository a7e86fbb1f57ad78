package ferry.desk;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class TicketTest {
  private static Ticket ticket(int age, boolean islander) {
    return new Ticket(new Passenger("Ansa", age, islander, false), 800);
  }

  @Test
  void takesTheYoungestForNothing() {
    Ticket ticket = ticket(3, true);
    assertEquals(0, ticket.price());
  }

  @Test
  void takesIslandersForHalf() {
    Ticket ticket = ticket(30, true);
    assertEquals(400, ticket.price());
    assertEquals("Ansa, 400 cents", ticket.text());
  }

  @Test
  void takesTheFareFromOthers() {
    Ticket ticket = ticket(30, false);
    assertEquals(800, ticket.price());
  }
}
