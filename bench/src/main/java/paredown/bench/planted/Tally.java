package paredown.bench.planted;

import java.util.List;

/**
 * What came of a planting.
 *
 * @param planted how many were put into code that still compiles
 * @param missed those that a survey did not find
 */
public record Tally(int planted, List<String> missed) {

  public Tally {
    missed = List.copyOf(missed);
  }

  public int found() {
    return planted - missed.size();
  }
}
