package paredown.session;

import java.util.List;
import java.util.Optional;
import paredown.gate.TestRun;

/**
 * How a change is to be applied.
 *
 * @param expect the id that the change must have; empty where any will do
 * @param untested whether a project without tests is accepted
 * @param expectRed names of tests that may fail
 * @param testing which tests it is held against
 * @param held what the tests said before, where that is known; else they are run
 */
public record ApplyOptions(
    Optional<String> expect,
    boolean untested,
    List<String> expectRed,
    Testing testing,
    Optional<TestRun> held) {

  public ApplyOptions {
    expectRed = List.copyOf(expectRed);
  }

  /** Options by which all tests are run, through the build. */
  public ApplyOptions(Optional<String> expect, boolean untested, List<String> expectRed) {
    this(expect, untested, expectRed, Testing.ALL, Optional.empty());
  }

  /** The same where other tests are run. */
  public ApplyOptions testing(Testing other) {
    return new ApplyOptions(expect, untested, expectRed, other, held);
  }

  /** The same where it is known what the tests said before. */
  public ApplyOptions against(TestRun before) {
    return new ApplyOptions(expect, untested, expectRed, testing, Optional.of(before));
  }
}
