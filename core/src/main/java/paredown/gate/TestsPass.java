package paredown.gate;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The gate <em>tests pass</em>: no test that passed before may fail, vanish or be skipped. */
public final class TestsPass {
  private TestsPass() {}

  /**
   * What the gate says of a step.
   *
   * @param comparison with the flaky tests taken out
   * @param flaky tests that failed, and passed when they were run again alone
   * @param quick whether only the tests were run that reach the change
   */
  public record Outcome(
      TestRun before, TestRun after, TestComparison comparison, Set<String> flaky, boolean quick) {

    public boolean passed() {
      return comparison.isGreen();
    }
  }

  /**
   * Runs the tests after a step and compares.
   *
   * @param expectedRed names of tests that may fail, as the user gave them
   */
  public static Outcome check(ProjectTests tests, TestRun before, List<String> expectedRed)
      throws InterruptedException {
    TestRun after = tests.run();
    TestComparison comparison = TestComparison.of(before, after);
    List<TestResult> broken = new ArrayList<>();
    Set<String> flaky = new HashSet<>();
    for (TestResult failure : comparison.broken()) {
      if (expectedRed.stream().anyMatch(name -> isNamed(failure, name))) {
        continue;
      }
      if (flaky.size() + broken.size() < 5 && passesAlone(tests, failure)) {
        flaky.add(failure.name());
      } else {
        broken.add(failure);
      }
    }
    return new Outcome(
        before,
        after,
        new TestComparison(broken, comparison.known(), comparison.vanished()),
        flaky,
        false);
  }

  /**
   * What quick tests say of a step: a test that fails, and fails in the build, too, is broken by
   * it.
   *
   * @param quick what they said
   */
  public static Outcome checkQuick(
      ProjectTests tests, TestRun before, TestRun quick, List<String> expectedRed)
      throws InterruptedException {
    Set<String> red = new HashSet<>();
    before.failures().forEach(each -> red.add(each.family()));
    List<TestResult> broken = new ArrayList<>();
    Set<String> flaky = new HashSet<>();
    for (TestResult failure : quick.failures()) {
      boolean meant =
          red.contains(failure.family())
              || expectedRed.stream().anyMatch(name -> isNamed(failure, name));
      if (!meant && broken.isEmpty()) {
        if (passesAlone(tests, failure)) {
          flaky.add(failure.name());
        } else {
          broken.add(failure);
        }
      }
    }
    return new Outcome(
        before, quick, new TestComparison(broken, List.of(), List.of()), flaky, true);
  }

  private static boolean isNamed(TestResult failure, String name) {
    String wanted = name.replace('.', '#');
    return failure.family().replace('.', '#').endsWith(wanted);
  }

  private static boolean passesAlone(ProjectTests tests, TestResult failure)
      throws InterruptedException {
    Optional<TestRun> again = tests.rerun(failure);
    return again.isPresent() && !again.get().isEmpty() && again.get().failures().isEmpty();
  }
}
