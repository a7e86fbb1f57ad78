package paredown.session;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.edit.Change;
import paredown.gate.ProjectTests;
import paredown.gate.TestBaseline;
import paredown.gate.TestProblem;
import paredown.gate.TestRun;
import paredown.gate.TestsPass;
import paredown.gate.quick.QuickTests;
import paredown.gate.quick.ReachingTests;
import paredown.gate.reach.Reach;
import paredown.journal.Journal;
import paredown.journal.Lock;
import paredown.journal.Step;
import paredown.program.Sources;
import paredown.project.AtExit;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.text.Counted;

/** Applying is bringing a change onto the disk under the eyes of the tests. */
final class Applying {
  private final Project project;
  private final Journal journal;
  private final Progress progress;

  Applying(Project project, Journal journal, Progress progress) {
    this.project = project;
    this.journal = journal;
    this.progress = progress;
  }

  /**
   * Applies a change, runs the tests, and keeps it or puts everything back.
   *
   * @throws Refused where changes of this project are not there yet
   * @throws GateStopped where it is not the change that was expected, or a gate stops it
   */
  Applied apply(Preview preview, ApplyOptions options) throws InterruptedException {
    long begin = System.nanoTime();
    requireApplicable(preview, options);
    try (Lock lock = Lock.take(project.root())) {
      requireNothingOpen();
      ProjectTests tests = new ProjectTests(project, progress);
      TestRun before = held(tests, options);
      OpenStep open = new OpenStep(journal);
      try (AtExit atExit = AtExit.run(() -> interrupted(open))) {
        return applyLocked(preview, options, tests, before, open, begin);
      }
    }
  }

  private void requireNothingOpen() {
    if (journal.open().isPresent()) {
      throw new GateStopped(
          "A step was cut off before it was verified; nothing new was written.",
          "Put it back with pare undo, then try again.");
    }
  }

  private Applied applyLocked(
      Preview preview,
      ApplyOptions options,
      ProjectTests tests,
      TestRun before,
      OpenStep open,
      long begin)
      throws InterruptedException {
    try {
      open.write(preview.change(), preview.command() + " --apply");
      Optional<TestsPass.Outcome> outcome = Optional.empty();
      if (!before.isEmpty()) {
        TestRun expected = expected(before, preview.change());
        outcome = quickly(preview.change(), tests, expected, options);
        boolean enough =
            outcome.isPresent() && (options.testing() == Testing.QUICK || !outcome.get().passed());
        if (!enough) {
          progress.doing("running all tests (Ctrl-C puts everything back)");
          outcome = Optional.of(check(tests, expected, options, open));
        }
      }
      Duration took = Duration.ofNanos(System.nanoTime() - begin);
      if (outcome.isPresent() && !outcome.get().passed()) {
        PutBack back = open.putBack();
        return new Applied(back.step(), false, outcome, back.edited(), took);
      }
      Step kept = open.keep();
      outcome
          .filter(each -> !each.quick())
          .ifPresent(each -> TestBaseline.now(project).write(each.after()));
      return new Applied(kept, true, outcome, List.of(), took);
    } catch (RuntimeException | InterruptedException | Error e) {
      open.end();
      throw e;
    }
  }

  /** What tests are expected to say after a change that said something before. */
  static TestRun expected(TestRun before, Change change) {
    return before.renamed(change.renamedTypes()).without(change.report().goneTests());
  }

  /** What all tests say before anything is written. */
  TestRun held(ApplyOptions options) throws InterruptedException {
    return held(new ProjectTests(project, progress), options);
  }

  private TestRun held(ProjectTests tests, ApplyOptions options) throws InterruptedException {
    return options.held().isPresent()
        ? options.held().get()
        : tested(baseline(tests), options, tests.command());
  }

  /** What the tests say that reach the change; empty where nobody asked, or they need the build. */
  private Optional<TestsPass.Outcome> quickly(
      Change change, ProjectTests tests, TestRun before, ApplyOptions options)
      throws InterruptedException {
    Optional<QuickTests> quick =
        options.testing() == Testing.ALL ? Optional.empty() : QuickTests.of(project);
    if (quick.isEmpty()) {
      return Optional.empty();
    }
    Sources after = new Sources(project);
    Set<String> reaching = ReachingTests.of(change, after, Reach.read(project), before, false);
    progress.doing(
        "running %s that %s the change"
            .formatted(
                Counted.of(reaching.size(), "class of tests", "classes of tests"),
                reaching.size() == 1 ? "reaches" : "reach"));
    Optional<TestRun> run =
        quick.get().run(after, change.affected(), reaching, project.settings().testTimeout());
    return run.isEmpty()
        ? Optional.empty()
        : Optional.of(TestsPass.checkQuick(tests, before, run.get(), options.expectRed()));
  }

  private static TestsPass.Outcome check(
      ProjectTests tests, TestRun before, ApplyOptions options, OpenStep open)
      throws InterruptedException {
    try {
      return TestsPass.check(tests, before, options.expectRed());
    } catch (TestProblem problem) {
      throw new GateStopped(
          problem.getMessage() + " " + open.putBack().sentence(), problem.advice());
    }
  }

  /** What is done when the program is told to end while a step may be open. */
  private void interrupted(OpenStep open) {
    open.end().ifPresent(back -> progress.said("Interrupted. " + back.sentence()));
  }

  private void requireApplicable(Preview preview, ApplyOptions options) {
    String id = preview.change().id();
    if (options.expect().isPresent() && !options.expect().get().equals(id)) {
      throw new GateStopped(
          "The change is " + id + " now, not " + options.expect().get() + "; nothing was written.",
          "Look at the preview again: " + preview.command());
    }
    if (!preview.verdict().passed()) {
      throw new GateStopped(
          "The change would not keep every name's meaning; nothing was written.",
          "This is a fault of ours; please report it with the preview.");
    }
    if (!new ProjectTests(project, progress).canRun()) {
      throw Refused.advising(
          RefusalKind.NO_TEST_COMMAND,
          "Nobody has said how the tests of this project are run.",
          "Write test-command: into pare.yaml, for example test-command: make test.");
    }
  }

  /** The tests that a change is held against; none where they tell nothing and that is accepted. */
  private static TestRun tested(TestRun before, ApplyOptions options, String command) {
    if (before.isEmpty() && !options.untested()) {
      throw new GateStopped(
          "This project has no tests, so that nothing would notice a mistake; nothing was written.",
          "Add --untested to apply it all the same.");
    }
    if (before.isOnlyRed() && !options.untested()) {
      throw new GateStopped(
          "The test command %s fails before the change already (%s) and names no tests, so that nothing would notice a mistake; nothing was written."
              .formatted(command, before.failures().get(0).message()),
          "Mend the command, let it leave JUnit reports and name their folder with test-reports:, or"
              + " add --untested.");
    }
    return before.isOnlyRed() ? new TestRun(List.of()) : before;
  }

  /** All tests as they are now; the last run where nothing changed since. */
  private TestRun baseline(ProjectTests tests) throws InterruptedException {
    TestBaseline baseline = TestBaseline.now(project);
    Optional<TestRun> known = baseline.read();
    if (known.isPresent()) {
      return known.get();
    }
    progress.doing("running all tests as they are (Ctrl-C stops)");
    TestRun run = tests.run();
    baseline.write(run);
    return run;
  }
}
