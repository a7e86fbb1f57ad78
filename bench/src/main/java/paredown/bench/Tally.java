package paredown.bench;

import java.util.List;

/**
 * What came of a planting.
 *
 * @param planted how many were put into code that still compiles
 * @param missed those that a survey did not find
 */
record Tally(int planted, List<String> missed) {

  Tally {
    missed = List.copyOf(missed);
  }

  int found() {
    return planted - missed.size();
  }
}
