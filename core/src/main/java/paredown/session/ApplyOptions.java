package paredown.session;

import java.util.List;
import java.util.Optional;

/**
 * How a change is to be applied.
 *
 * @param expect the id that the change must have; empty where any will do
 * @param untested whether a project without tests is accepted
 * @param expectRed names of tests that may fail
 */
public record ApplyOptions(Optional<String> expect, boolean untested, List<String> expectRed) {

  public ApplyOptions {
    expectRed = List.copyOf(expectRed);
  }
}
