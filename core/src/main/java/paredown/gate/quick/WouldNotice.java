package paredown.gate.quick;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.edit.Change;
import paredown.gate.TestResult;
import paredown.gate.TestRun;
import paredown.program.Sources;
import paredown.text.SourceText;

/**
 * Whether tests would notice small faults in the lines that a change touches, as these are now.
 *
 * @param tried how many faults were made, each alone, and the tests run that reach the lines
 * @param missed those that no test noticed
 */
public record WouldNotice(int tried, List<SmallFault> missed) {
  private static final int MOST = 8;

  /** A fault in one line seldom makes a test run long, but may let it run for ever. */
  private static final Duration LONGEST = Duration.ofSeconds(60);

  public WouldNotice {
    missed = List.copyOf(missed);
  }

  /**
   * Tries some faults, one after the other, until the time is over.
   *
   * @param reaching the files of the tests that reach the change
   * @return empty where the tests need the build, or are not green without it
   */
  public static Optional<WouldNotice> of(
      Change change, Sources sources, Set<String> reaching, Duration limit)
      throws InterruptedException {
    Optional<QuickTests> tests = QuickTests.of(sources.project());
    if (tests.isEmpty() || reaching.isEmpty()) {
      return Optional.empty();
    }
    long begin = System.nanoTime();
    Optional<TestRun> now = tests.get().run(sources, Set.of(), reaching, limit);
    if (now.isEmpty()) {
      return Optional.empty();
    }
    Set<String> red = names(now.get().failures());
    int tried = 0;
    List<SmallFault> missed = new ArrayList<>();
    for (SmallFault fault : SmallFaults.in(change, sources, MOST)) {
      if (System.nanoTime() - begin > limit.toNanos()) {
        break;
      }
      SourceText before = sources.text(fault.path());
      SourceText faulty =
          new SourceText(
              fault.path(),
              before.slice(0, fault.start())
                  + fault.text()
                  + before.slice(fault.end(), before.text().length()),
              before.charset());
      Sources then = sources.after(List.of(faulty), List.of(), Set.of());
      Optional<TestRun> run = tests.get().run(then, Set.of(fault.path()), reaching, LONGEST);
      if (run.isPresent()) {
        tried++;
        Set<String> noticed = names(run.get().failures());
        noticed.removeAll(red);
        if (noticed.isEmpty()) {
          missed.add(fault);
        }
      }
    }
    return Optional.of(new WouldNotice(tried, missed));
  }

  private static Set<String> names(List<TestResult> results) {
    Set<String> names = new HashSet<>();
    results.forEach(each -> names.add(each.name()));
    return names;
  }
}
