package paredown.session;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import paredown.gate.TestsPass;
import paredown.journal.Step;

/**
 * What became of a change that was to be applied.
 *
 * @param kept whether it stayed; everything was put back where it did not
 * @param tests what the tests said; empty where there are none and that was accepted
 * @param notPutBack files that somebody edited meanwhile, so that they could not be put back
 */
public record Applied(
    Step step,
    boolean kept,
    Optional<TestsPass.Outcome> tests,
    List<String> notPutBack,
    Duration took) {

  public Applied {
    notPutBack = List.copyOf(notPutBack);
  }
}
