package paredown.session;

import java.nio.file.Path;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicReference;
import paredown.UnusableRequest;
import paredown.facts.Facts;
import paredown.facts.FactsDrawer;
import paredown.gate.Gates;
import paredown.gate.ProjectTests;
import paredown.gate.TestBaseline;
import paredown.gate.TestProblem;
import paredown.gate.TestRun;
import paredown.gate.TestsPass;
import paredown.gate.Verdict;
import paredown.journal.Journal;
import paredown.journal.Lock;
import paredown.journal.Step;
import paredown.program.CompileError;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.Nearest;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.project.SourceFile;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.remedy.Candidate;
import paredown.remedy.Candidates;
import paredown.remedy.Remedies;
import paredown.remedy.Remedy;
import paredown.smell.Detectors;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Limits;
import paredown.text.SourceText;

/** A session is one user's work on one project: everything that a front end can ask for. */
public final class Session {
  private final Project project;
  private final Progress progress;
  private final Sources sources;
  private final Journal journal;
  private SourceIndex index;

  private Session(Project project, Progress progress) {
    this.project = project;
    this.progress = progress;
    this.sources = new Sources(project);
    this.journal = Journal.of(project);
  }

  /** Opens the project that includes a folder. */
  public static Session open(Path start, Progress progress) {
    return new Session(Project.at(start, progress), progress);
  }

  public Project project() {
    return project;
  }

  /** Finds what is worth a look in the project's main sources. */
  public Survey survey() {
    long begin = System.nanoTime();
    List<String> main = sources.paths(SourceFile.Kind.MAIN);
    if (main.isEmpty()) {
      main = sources.paths(SourceFile.Kind.TEST);
    }
    progress.doing("reading " + main.size() + " files");
    try (Program program = Program.of(sources, main)) {
      progress.doing("looking for smells");
      Facts facts = FactsDrawer.draw(program);
      List<Finding> findings = Detectors.find(facts, Limits.of(project.settings()));
      Map<String, List<Candidate>> candidates = new LinkedHashMap<>();
      findings.forEach(finding -> candidates.put(finding.id(), Candidates.of(finding, facts)));
      Optional<CompileError> missing =
          program.errors().stream().filter(CompileError::isUnresolved).findFirst();
      return new Survey(
          project.root().getFileName().toString(),
          facts,
          findings,
          candidates,
          missing,
          main.stream().filter(sources::isGarbled).toList(),
          (System.nanoTime() - begin) / 1_000_000);
    }
  }

  /**
   * Explains one finding.
   *
   * @param id a finding's id, or the beginning of one
   */
  public Explanation why(String id) {
    Survey survey = survey();
    Finding finding = finding(survey, id);
    progress.doing("planning remedies");
    Remedies remedies =
        Remedies.plan(survey.candidates().get(finding.id()), survey.facts(), sources, index());
    Map<Integer, String> lines = new TreeMap<>();
    SourceText source = sources.text(finding.range().file());
    for (Evidence.Row row : finding.evidence().rows()) {
      lines.put(row.line(), source.lineText(row.line()).strip());
    }
    return new Explanation(finding, lines, remedies);
  }

  private static Finding finding(Survey survey, String id) {
    List<Finding> meant =
        survey.findings().stream().filter(finding -> finding.id().startsWith(id)).toList();
    if (meant.size() == 1) {
      return meant.get(0);
    }
    List<String> ids = survey.findings().stream().map(Finding::id).toList();
    if (meant.size() > 1) {
      throw new UnusableRequest(
          id + " could be any of " + String.join(", ", meant.stream().map(Finding::id).toList()),
          "Give more of it.");
    }
    throw new UnusableRequest(
        "There is no finding " + id + ".",
        Nearest.advice(
            id, ids, ids.isEmpty() ? "This project has none." : "pare survey lists the findings."));
  }

  /**
   * The refactoring that a remedy stands for.
   *
   * @param id a finding's id and the remedy's own two digits
   * @param name for the new class; empty where the proposed one will do
   */
  public Refactoring remedy(String id, Optional<String> name) {
    int dot = id.lastIndexOf('.');
    Explanation explanation = why(dot < 0 ? id : id.substring(0, dot));
    List<Remedy> found = explanation.remedies().found();
    List<Remedy> meant =
        dot < 0
            ? found
            : found.stream().filter(each -> each.shortId().equals(id.substring(dot + 1))).toList();
    if (meant.size() != 1) {
      List<String> ids = found.stream().map(Remedy::id).toList();
      String advice =
          ids.isEmpty()
              ? "pare why " + explanation.finding().id() + " says why none can be done."
              : "There is " + String.join(", ", ids) + ".";
      throw new UnusableRequest(
          (meant.isEmpty() ? "There is no remedy " : "Several remedies are meant by ") + id + ".",
          advice);
    }
    Remedy remedy = meant.get(0);
    return name.<Refactoring>map(
            n -> new Candidate("", remedy.refactoring()).named(n).refactoring())
        .orElse(remedy.refactoring());
  }

  /** Plans a refactoring and lets the first two gates judge it; nothing is written. */
  public Preview preview(Refactoring refactoring) {
    progress.doing("planning");
    try (Refactoring.Planned planned = refactoring.plan(sources, index())) {
      progress.doing("checking that every name still means the same");
      Verdict verdict = Gates.check(planned.program(), planned.change());
      return new Preview(refactoring.command(), planned.change(), verdict);
    }
  }

  private SourceIndex index() {
    if (index == null) {
      index = new SourceIndex(sources);
    }
    return index;
  }

  /** The step that was cut off, which the next writing command puts back. */
  public Optional<Step> unverified() {
    return journal.open();
  }

  public List<Step> steps() {
    return journal.steps();
  }

  /** Puts back a step that was cut off; empty where there is none. */
  public Optional<Recovery> recover() {
    try (Lock lock = Lock.take(project.root())) {
      return recoverLocked();
    }
  }

  /**
   * A step that was cut off and put back.
   *
   * @param edited files that somebody edited since, which stay as they are
   */
  public record Recovery(Step step, List<String> edited) {}

  private Optional<Recovery> recoverLocked() {
    return journal.open().map(step -> new Recovery(step, journal.putBack(step)));
  }

  /**
   * Applies a change, runs the tests, and keeps it or puts everything back.
   *
   * @throws Refused where changes of this project are not there yet
   * @throws GateStopped where it is not the change that was expected, or a gate stops it
   */
  public Applied apply(Preview preview, ApplyOptions options) throws InterruptedException {
    long begin = System.nanoTime();
    requireApplicable(preview, options);
    try (Lock lock = Lock.take(project.root())) {
      recoverLocked();
      ProjectTests tests = new ProjectTests(project);
      TestRun before = baseline(tests);
      requireTests(before, options);
      AtomicReference<Step> open = new AtomicReference<>();
      Thread atExit = new Thread(() -> interrupted(open));
      Runtime.getRuntime().addShutdownHook(atExit);
      try {
        return applyLocked(preview, options, tests, before, open, begin);
      } catch (RuntimeException | InterruptedException e) {
        putBack(open);
        throw e;
      } finally {
        forget(atExit);
      }
    }
  }

  private Applied applyLocked(
      Preview preview,
      ApplyOptions options,
      ProjectTests tests,
      TestRun before,
      AtomicReference<Step> open,
      long begin)
      throws InterruptedException {
    Step step = journal.write(preview.change(), preview.command() + " --apply");
    open.set(step);
    Optional<TestsPass.Outcome> outcome = Optional.empty();
    if (!before.isEmpty()) {
      progress.doing("running all tests (Ctrl-C puts everything back)");
      outcome = Optional.of(check(tests, before, options, step, open));
    }
    Duration took = Duration.ofNanos(System.nanoTime() - begin);
    if (outcome.isPresent() && !outcome.get().passed()) {
      open.set(null);
      return new Applied(step, false, outcome, journal.putBack(step), took);
    }
    Step kept = journal.verify(step);
    open.set(null);
    outcome.ifPresent(each -> TestBaseline.now(project).write(each.after()));
    return new Applied(kept, true, outcome, List.of(), took);
  }

  private TestsPass.Outcome check(
      ProjectTests tests,
      TestRun before,
      ApplyOptions options,
      Step step,
      AtomicReference<Step> open)
      throws InterruptedException {
    try {
      return TestsPass.check(tests, before, options.expectRed());
    } catch (TestProblem problem) {
      open.set(null);
      List<String> edited = journal.putBack(step);
      throw new GateStopped(
          problem.getMessage()
              + (edited.isEmpty()
                  ? " Everything was put back."
                  : " All was put back but " + String.join(", ", edited) + "."),
          problem.advice());
    }
  }

  /** What is done when the program is told to end while a step is open. */
  private void interrupted(AtomicReference<Step> open) {
    if (putBack(open)) {
      progress.said("Interrupted. Everything was put back.");
    }
  }

  private boolean putBack(AtomicReference<Step> open) {
    Step step = open.getAndSet(null);
    if (step != null) {
      journal.putBack(step);
    }
    return step != null;
  }

  private static void forget(Thread atExit) {
    try {
      Runtime.getRuntime().removeShutdownHook(atExit);
    } catch (IllegalStateException alreadyShuttingDown) {
      // The hook runs now, and puts back what is open.
    }
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
    if (project.modules().size() > 1) {
      throw Refused.advising(
          RefusalKind.SEVERAL_MODULES,
          "This build has " + project.modules().size() + " modules; changing it is not there yet.",
          "The preview's diff can be applied with git apply.");
    }
    if (!new ProjectTests(project).canRun()) {
      throw Refused.advising(
          RefusalKind.NO_TEST_COMMAND,
          "Nobody has said how the tests of this project are run.",
          "Write test-command: into pare.yaml, for example test-command: make test.");
    }
  }

  private static void requireTests(TestRun before, ApplyOptions options) {
    if (before.isEmpty() && !options.untested()) {
      throw new GateStopped(
          "This project has no tests, so that nothing would notice a mistake; nothing was written.",
          "Add --untested to apply it all the same.");
    }
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

  /** Runs all tests once, the way the gate does. */
  public TestRun test() throws InterruptedException {
    progress.doing("running all tests");
    TestRun run = new ProjectTests(project).run();
    TestBaseline.now(project).write(run);
    return run;
  }

  /**
   * Takes back the last kept steps, newest first; a step that was cut off is put back before.
   *
   * @return the steps that were taken back
   */
  public List<Step> undo(int count) {
    try (Lock lock = Lock.take(project.root())) {
      List<Step> undone = new java.util.ArrayList<>();
      recoverLocked().map(Recovery::step).ifPresent(undone::add);
      while (undone.size() < count) {
        Optional<Step> last = journal.last();
        if (last.isEmpty()) {
          break;
        }
        journal.undo(last.get());
        undone.add(last.get());
      }
      return undone;
    }
  }
}
