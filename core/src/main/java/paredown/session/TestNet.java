package paredown.session;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.edit.Change;
import paredown.gate.ProjectTests;
import paredown.gate.TestBaseline;
import paredown.gate.TestRun;
import paredown.gate.TestsPass;
import paredown.gate.quick.ReachingTests;
import paredown.gate.quick.WouldNotice;
import paredown.gate.reach.Reach;
import paredown.gate.reach.ReachOfChange;
import paredown.gate.reach.Recording;
import paredown.journal.Journal;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;

/** The tests of a project as the net under its changes: what they say, reach and would notice. */
public final class TestNet {
  private static final Duration NOTICING = Duration.ofSeconds(60);

  private final Project project;
  private final Sources sources;
  private final Journal journal;
  private final Progress progress;

  TestNet(Project project, Sources sources, Journal journal, Progress progress) {
    this.project = project;
    this.sources = sources;
    this.journal = journal;
    this.progress = progress;
  }

  /** Runs all tests behind several steps, and compares with what they said before these. */
  public TestsPass.Outcome check(TestRun before) throws InterruptedException {
    progress.doing("running all tests");
    TestsPass.Outcome outcome =
        TestsPass.check(new ProjectTests(project, progress), before, List.of());
    if (outcome.passed()) {
      TestBaseline.now(project).write(outcome.after());
    }
    return outcome;
  }

  /** Runs all tests once, the way the gate does. */
  public TestRun test() throws InterruptedException {
    progress.doing("running all tests");
    TestRun run = new ProjectTests(project, progress).run();
    TestBaseline.now(project).write(run);
    return run;
  }

  /** Runs all tests once, each class of them alone, and keeps which code they reach. */
  public Recording recordReach() throws InterruptedException {
    progress.doing("running all tests, class by class");
    Recording recording = Recording.of(new ProjectTests(project, progress), sources);
    TestBaseline.now(project).write(recording.run());
    recording.reach().write(project);
    return recording;
  }

  /** How far the tests reach a change; empty where they were never recorded, or it is no code. */
  public Optional<ReachOfChange> reach(Change change) {
    return Reach.read(project).flatMap(reach -> ReachOfChange.of(reach, change));
  }

  /**
   * Whether the tests that reach a change would notice small faults in the lines that it touches;
   * empty where no test reaches it, or they cannot run without the build.
   */
  public Optional<WouldNotice> wouldNotice(Change change) throws InterruptedException {
    TestRun run =
        new Applying(project, journal, progress)
            .held(new ApplyOptions(Optional.empty(), true, List.of()));
    progress.doing("making small faults in memory, and running the tests that reach them");
    Set<String> reaching = ReachingTests.of(change, sources, Reach.read(project), run, true);
    return WouldNotice.of(change, sources, reaching, NOTICING);
  }
}
