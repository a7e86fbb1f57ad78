package ferry.fleet;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class CharterTest {
  private Charter charter;

  @BeforeEach
  void layUp() {
    Fleet fleet = new Fleet();
    fleet.add(new Vessel("Tern", 120, 18, 40));
    fleet.add(new Vessel("Gannet", 180, 32, 120));
    charter = new Charter(new VesselDirectory(fleet));
  }

  @Test
  void offersTheVesselThatIsWanted() {
    assertEquals("Tern is yours", charter.offer("Tern", 30));
  }

  @Test
  void offersTheSmallestThatIsLargeEnough() {
    assertEquals("Gannet is yours", charter.offer("Tern", 100));
    assertEquals("Tern is yours", charter.offer("Albatross", 12));
  }

  @Test
  void offersNothingWhereAllAreTooSmall() {
    assertEquals("nothing afloat is large enough", charter.offer("Tern", 500));
  }
}
