package ferry.quay;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

class LinesmanTest {
  private final Linesman strong = new Linesman("Ebb", 80);

  @Test
  void throwsALightLineFar() {
    assertTrue(strong.reaches(15, 4));
    assertFalse(strong.reaches(17, 4));
  }

  @Test
  void saysWhoItIs() {
    assertEquals("Ebb, quay", strong.badge());
  }
}
