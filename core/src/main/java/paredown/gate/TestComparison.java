package paredown.gate;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A comparison of two test runs: which tests were fine before and are not now.
 *
 * @param broken tests that failed now and did not before
 * @param known tests that failed before as well
 * @param vanished tests that passed before and were not run, or were skipped, now
 */
public record TestComparison(
    List<TestResult> broken, List<TestResult> known, List<String> vanished) {

  public static TestComparison of(TestRun before, TestRun after) {
    Map<String, Long> red = names(before.failures());
    Map<String, Long> now = names(after.failures());
    List<TestResult> broken = new ArrayList<>();
    List<TestResult> known = new ArrayList<>();
    for (TestResult failure : after.failures()) {
      // Tests of one name, in several modules, are told apart by their number only.
      boolean more = now.get(failure.name()) > red.getOrDefault(failure.name(), 0L);
      (more ? broken : known).add(failure);
    }
    return new TestComparison(broken, known, vanished(before, after));
  }

  private static Map<String, Long> names(List<TestResult> results) {
    return results.stream().collect(Collectors.groupingBy(TestResult::name, Collectors.counting()));
  }

  /** Runs of a parameterized test may carry changing names, so that their number is compared. */
  private static List<String> vanished(TestRun before, TestRun after) {
    Map<String, Long> passed = families(before, TestResult.Status.PASSED);
    Map<String, Long> now =
        after.results().stream()
            .filter(result -> result.status() != TestResult.Status.SKIPPED)
            .collect(Collectors.groupingBy(TestResult::family, Collectors.counting()));
    return passed.entrySet().stream()
        .filter(entry -> now.getOrDefault(entry.getKey(), 0L) < entry.getValue())
        .map(Map.Entry::getKey)
        .sorted()
        .toList();
  }

  private static Map<String, Long> families(TestRun run, TestResult.Status status) {
    return run.results().stream()
        .filter(result -> result.status() == status)
        .collect(Collectors.groupingBy(TestResult::family, Collectors.counting()));
  }

  public boolean isGreen() {
    return broken.isEmpty() && vanished.isEmpty();
  }
}
