package paredown.gate;

import java.util.List;

/** A test run is what all tests said. */
public record TestRun(List<TestResult> results) {

  public TestRun {
    results = List.copyOf(results);
  }

  public long count(TestResult.Status status) {
    return results.stream().filter(result -> result.status() == status).count();
  }

  public List<TestResult> failures() {
    return results.stream().filter(TestResult::failed).toList();
  }

  public boolean isEmpty() {
    return results.isEmpty();
  }
}
