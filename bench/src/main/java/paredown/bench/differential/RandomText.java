package paredown.bench.differential;

import java.util.Random;

/** Text that says one thing or another, as it is drawn. */
abstract class RandomText {
  final Random random;

  RandomText(Random random) {
    this.random = random;
  }

  /**
   * A text, or nothing.
   *
   * @param percent how often it is the text
   */
  final String maybe(int percent, String one) {
    return maybe(percent, one, "");
  }

  /** One text, or another. */
  final String maybe(int percent, String one, String other) {
    return random.nextInt(100) < percent ? one : other;
  }
}
