package paredown.remedy;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class KnownThingTest {
  private static Optional<String> named(String... members) {
    return KnownThing.of(List.of(members));
  }

  @Test
  void hasTheNameThatEverybodyHasForIt() {
    assertEquals(Optional.of("Address"), named("house", "lane", "village", "postcode"));
    assertEquals(Optional.of("Period"), named("startDate", "endDate"));
    assertEquals(Optional.of("Connection"), named("host", "port", "user", "password"));
  }

  @Test
  void mayHaveSeveralPartsAtEachOfTwoEnds() {
    assertEquals(Optional.of("Period"), named("startHour", "startMinute", "endHour", "endMinute"));
    assertEquals(Optional.empty(), named("startHour", "startMinute", "endHour"));
  }

  @Test
  void isNamedMoreCloselyByTheOneThatIsLeft() {
    assertEquals(Optional.of("MeadowSpan"), named("meadow", "from", "until"));
    assertEquals(Optional.of("Contact"), named("name", "phone", "mail"));
  }

  @Test
  void isNothingWhereTwoOthersAreThere() {
    assertEquals(Optional.empty(), named("fare", "berth", "from", "until"));
    assertEquals(Optional.empty(), named("from", "berth"));
  }
}
