package paredown.gate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class TestsPassTest {
  private final ProjectTests tests = mock(ProjectTests.class);

  private static TestRun run(String... results) {
    return new TestRun(Arrays.stream(results).map(TestsPassTest::result).toList());
  }

  /** A result from {@code +name} passed, {@code -name} failed or {@code ~name} skipped. */
  private static TestResult result(String text) {
    TestResult.Status status =
        switch (text.charAt(0)) {
          case '+' -> TestResult.Status.PASSED;
          case '-' -> TestResult.Status.FAILED;
          default -> TestResult.Status.SKIPPED;
        };
    return new TestResult("ferry.SailingTest#" + text.substring(1), status, "", "");
  }

  private TestsPass.Outcome check(TestRun before, TestRun after, String... expectedRed)
      throws InterruptedException {
    when(tests.run()).thenReturn(after);
    return TestsPass.check(tests, before, List.of(expectedRed));
  }

  @Test
  void isGreenWhereNothingChanged() throws InterruptedException {
    assertTrue(check(run("+a", "~b"), run("+a", "~b")).passed());
  }

  @Test
  void isRedWhereATestThatPassedFails() throws InterruptedException {
    when(tests.rerun(any())).thenReturn(Optional.of(run("-a")));
    TestsPass.Outcome outcome = check(run("+a", "+b"), run("-a", "+b"));
    assertFalse(outcome.passed());
    assertEquals("ferry.SailingTest#a", outcome.comparison().broken().get(0).name());
  }

  @Test
  void callsATestFlakyThatPassesWhenItRunsAlone() throws InterruptedException {
    when(tests.rerun(any())).thenReturn(Optional.of(run("+a")));
    TestsPass.Outcome outcome = check(run("+a"), run("-a"));
    assertTrue(outcome.passed());
    assertEquals(Set.of("ferry.SailingTest#a"), outcome.flaky());
  }

  @Test
  void doesNotTakeAnEmptyRerunForAPass() throws InterruptedException {
    when(tests.rerun(any())).thenReturn(Optional.of(run()));
    assertFalse(check(run("+a"), run("-a")).passed());
  }

  @Test
  void forgivesATestThatWasRedBefore() throws InterruptedException {
    TestsPass.Outcome outcome = check(run("-a", "+b"), run("-a", "+b"));
    assertTrue(outcome.passed());
    assertEquals(1, outcome.comparison().known().size());
  }

  @Test
  void missesATestThatVanished() throws InterruptedException {
    TestsPass.Outcome outcome = check(run("+a", "+b"), run("+a"));
    assertFalse(outcome.passed());
    assertEquals(List.of("ferry.SailingTest#b"), outcome.comparison().vanished());
  }

  @Test
  void missesATestThatIsSkippedNow() throws InterruptedException {
    assertFalse(check(run("+a"), run("~a")).passed());
  }

  @Test
  void countsTheRunsOfAParameterizedTestWhateverTheyAreCalled() throws InterruptedException {
    assertTrue(check(run("+a[1] now", "+a[2] then"), run("+a[1] later", "+a[2] never")).passed());
    assertFalse(check(run("+a[1]", "+a[2]"), run("+a[1]")).passed());
  }

  @Test
  void letsTheTestsFailThatTheUserNamed() throws InterruptedException {
    assertTrue(check(run("+a", "+b"), run("-a", "+b"), "SailingTest.a").passed());
  }
}
