package paredown.gate;

import java.util.Collection;
import java.util.List;
import java.util.Map;

/** A test run is what all tests said. */
public record TestRun(List<TestResult> results) {
  /** The one test that a command without reports stands for. */
  static final String WHOLE = "the test command";

  public TestRun {
    results = List.copyOf(results);
  }

  public long count(TestResult.Status status) {
    return results.stream().filter(result -> result.status() == status).count();
  }

  public List<TestResult> failures() {
    return results.stream().filter(TestResult::failed).toList();
  }

  /**
   * The same run of classes that have other names now.
   *
   * @param classes their old binary names, and the new ones
   */
  public TestRun renamed(Map<String, String> classes) {
    return new TestRun(results.stream().map(result -> result.renamed(classes)).toList());
  }

  /** The same where tests are gone, {@code ferry.SailingTest#floats}. */
  public TestRun without(Collection<String> gone) {
    return new TestRun(results.stream().filter(result -> !gone.contains(result.family())).toList());
  }

  public boolean isEmpty() {
    return results.isEmpty();
  }

  /** Whether all that is known is that the test command failed, so that no test is told apart. */
  public boolean isOnlyRed() {
    return results.size() == 1
        && results.get(0).name().startsWith(WHOLE + "#")
        && results.get(0).failed();
  }
}
