package paredown.session;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import paredown.UnusableRequest;
import paredown.facts.Facts;
import paredown.facts.FactsReader;
import paredown.facts.TypeFact;
import paredown.gate.ProjectTests;
import paredown.gate.TestBaseline;
import paredown.gate.TestRun;
import paredown.history.GitCommits;
import paredown.history.History;
import paredown.journal.Journal;
import paredown.journal.Lock;
import paredown.journal.Step;
import paredown.program.CompileError;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.AtExit;
import paredown.project.Nearest;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.project.ProjectUnreadable;
import paredown.project.Settings;
import paredown.project.SourceFile;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.plan.Judged;
import paredown.remedy.Candidate;
import paredown.remedy.Candidates;
import paredown.remedy.Cure;
import paredown.remedy.Remedies;
import paredown.remedy.Remedy;
import paredown.remedy.Stages;
import paredown.smell.Finding;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.detector.Detectors;
import paredown.text.SourceText;

/** A session is one user's work on one project: everything that a front end can ask for. */
public final class Session {
  private final Project project;
  private final Progress progress;
  private final Journal journal;
  private Sources sources;
  private int commits;
  private boolean strict;

  private Session(Project project, Progress progress) {
    this.project = project;
    this.progress = progress;
    this.journal = Journal.of(project);
    this.commits = project.settings().history();
  }

  /** Looks at so many commits instead of what is set; 0 looks at none. */
  public Session lookingAt(int commits) {
    this.commits = commits;
    return this;
  }

  /** Refuses changes that rest on assumptions, where this is set here or in the settings. */
  public Session strict(boolean wished) {
    strict = wished;
    return this;
  }

  private Judged required(Judged judged) {
    if (strict) {
      judged.requireProved();
    }
    return judged;
  }

  /** The files that differ from a revision. */
  public Set<String> changedSince(String revision) {
    return ProjectHistory.changedSince(project, revision);
  }

  /** Opens the project that includes a folder. */
  public static Session open(Path start, Progress progress) {
    return new Session(Project.at(start, progress), progress);
  }

  /** The same, but its build is not asked for the class path: no code of the project is run. */
  public static Session withoutBuild(Path start, Progress progress) {
    return new Session(Project.at(start, progress, false), progress);
  }

  /** What was applied in a project's folder; neither its build nor its sources are looked at. */
  public static Session ofSteps(Path start, Progress progress) {
    return new Session(Project.folder(start), progress);
  }

  /** The session as it would be with a change done, in memory. */
  public Session after(Preview preview) {
    Session after = new Session(project, progress);
    after.sources = preview.change().after(sources());
    after.commits = 0;
    after.strict = strict;
    return after;
  }

  private Sources sources() {
    if (sources == null) {
      sources = new Sources(project);
    }
    return sources;
  }

  public Project project() {
    return project;
  }

  /** Finds what is worth a look in the project's main sources. */
  public Survey survey() {
    long begin = System.nanoTime();
    List<String> main = sources().paths(SourceFile.Kind.MAIN);
    if (main.isEmpty()) {
      main = sources().paths(SourceFile.Kind.TEST);
    }
    if (main.isEmpty()) {
      throw new ProjectUnreadable(
          "No Java source is left to look at.",
          "exclude: in " + Settings.FILE + " leaves all of them out, or the build generates them.");
    }
    progress.doing("reading " + main.size() + " files");
    Limits limits = Limits.of(project.settings());
    AtomicInteger read = new AtomicInteger();
    CompletableFuture<History> history =
        CompletableFuture.supplyAsync(() -> ProjectHistory.of(project, commits, read));
    FactsReader.Reading reading = FactsReader.read(sources(), main);
    Facts facts = reading.facts().beside(this::isInTests);
    progress.doing("looking at the history");
    progress.soFar(() -> "%d of %d commits".formatted(read.get(), commits));
    Grounds grounds = Grounds.of(facts, history.join(), limits);
    progress.doing("looking for smells");
    List<Accepted> lived = accepted();
    List<Finding> all = Detectors.find(grounds);
    Map<Boolean, List<Finding>> found =
        all.stream()
            .collect(
                Collectors.partitioningBy(
                    finding -> lived.stream().anyMatch(each -> each.covers(finding))));
    Map<String, List<Candidate>> candidates = Candidates.of(all, facts);
    Optional<CompileError> missing =
        reading.errors().stream().filter(CompileError::isUnresolved).findFirst();
    return new Survey(
        project.root().getFileName().toString(),
        facts,
        found.get(false),
        found.get(true),
        candidates,
        grounds,
        missing,
        main.stream().filter(sources()::isGarbled).toList(),
        sources().passedOver(),
        (System.nanoTime() - begin) / 1_000_000);
  }

  /** Whether the test sources, which a survey does not read otherwise, hold an identifier. */
  private boolean isInTests(String word) {
    return sources().paths(SourceFile.Kind.TEST).stream()
        .map(sources()::text)
        .anyMatch(
            source ->
                source.text().contains(word)
                    && source.tokens().stream()
                        .anyMatch(token -> token.isIdentifier() && source.spells(token, word)));
  }

  /**
   * Explains one finding.
   *
   * @param id a finding's id, or the beginning of one
   */
  public Explanation why(String id) {
    Survey survey = survey();
    return explain(survey, finding(survey, id));
  }

  /** Explains one finding of a survey. */
  public Explanation explain(Survey survey, Finding finding) {
    progress.doing("planning remedies of " + finding.id());
    Remedies remedies =
        Remedies.plan(
            finding, survey.candidates().get(finding.id()), survey.grounds(), sources(), index());
    return Explanation.of(finding, survey.facts(), sources(), remedies);
  }

  /** Some lines of a file, as they stand there. */
  public List<String> lines(String file, int first, int last) {
    SourceText source = sources().text(file);
    return IntStream.rangeClosed(first, last).mapToObj(source::lineText).toList();
  }

  private static Finding finding(Survey survey, String idOfFindingOrRemedy) {
    String id = idOfFindingOrRemedy.replaceAll("\\..*", "");
    List<Finding> all =
        Stream.of(survey.findings(), survey.accepted()).flatMap(List::stream).toList();
    List<Finding> meant = all.stream().filter(finding -> finding.id().startsWith(id)).toList();
    if (meant.size() == 1) {
      return meant.get(0);
    }
    List<String> ids = all.stream().map(Finding::id).toList();
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
   * Plans a remedy and lets the first two gates judge it; nothing is written.
   *
   * @param id a finding's id and the remedy's own two digits; the finding's id will do where it has
   *     only one
   * @param name for the new class; empty where the proposed one will do
   * @param accepted the kinds of refusal that are accepted
   * @throws paredown.refactor.Refused where it cannot be done safely
   */
  public Preview mend(String id, Optional<String> name, Set<RefusalKind> accepted) {
    Survey survey = survey();
    Finding finding = finding(survey, id);
    List<Candidate> candidates = survey.candidates().get(finding.id());
    String digits = id.contains(".") ? id.substring(id.lastIndexOf('.')) : "";
    List<Candidate> meant =
        candidates.stream().filter(candidate -> candidate.id().endsWith(digits)).toList();
    if (digits.isEmpty() && meant.size() > 1) {
      List<String> found =
          explain(survey, finding).remedies().found().stream().map(Remedy::id).toList();
      meant = meant.stream().filter(each -> found.contains(each.id())).toList();
    }
    if (meant.size() != 1) {
      throw new UnusableRequest(
          (meant.isEmpty() ? "There is no remedy " : "Several remedies are meant by ") + id + ".",
          "pare why " + finding.id() + " shows what can be done.");
    }
    Candidate candidate = meant.get(0);
    for (RefusalKind kind : accepted) {
      candidate = candidate.accepting(kind).orElse(candidate);
    }
    progress.doing("planning, and checking that every name still means the same");
    Remedy remedy =
        name.isEmpty()
            ? Remedies.planProposed(candidate, survey.facts(), sources(), index())
            : Remedies.plan(candidate.named(name.get()), survey.facts(), sources(), index());
    if (strict) {
      Judged.requireProved(remedy.change());
    }
    return new Preview(remedy.refactoring(), remedy.change(), remedy.verdict());
  }

  /** Plans a refactoring and lets the first two gates judge it; nothing is written. */
  public Preview preview(Refactoring refactoring) {
    progress.doing("planning, and checking that every name still means the same");
    Judged judged = required(Judged.of(refactoring, sources(), index()));
    return new Preview(refactoring, judged.change(), judged.verdict());
  }

  /** Plans the extraction of all stages of a method. */
  public Preview stages(String type, String method) {
    DeclaredType header = index().type(type);
    Set<String> file = Set.of(header.file());
    TypeFact fact =
        FactsReader.again(sources(), List.copyOf(file), file).byName().get(header.name());
    return preview(Stages.of(fact, method));
  }

  /**
   * Plans the extraction of all groups of members of a class.
   *
   * @throws UnusableRequest where it does not fall into several
   */
  public Preview groups(String type) {
    String name = index().type(type).name();
    Survey survey = survey();
    Candidate apart =
        Stream.concat(survey.findings().stream(), survey.accepted().stream())
            .filter(finding -> finding.type().equals(name))
            .flatMap(finding -> survey.candidates().get(finding.id()).stream())
            .filter(candidate -> candidate.cure() instanceof Cure.Apart)
            .findFirst()
            .orElseThrow(
                () ->
                    new UnusableRequest(
                        "The members of %s do not fall into several groups.".formatted(type),
                        "Name the members that leave: --fields and --methods, with --name."));
    progress.doing("planning, and checking that every name still means the same");
    Remedy remedy = Remedies.plan(apart, survey.facts(), sources(), index());
    if (strict) {
      Judged.requireProved(remedy.change());
    }
    return new Preview(remedy.refactoring(), remedy.change(), remedy.verdict());
  }

  /** The findings that the project lives with. */
  public List<Accepted> accepted() {
    return new AcceptedFile(project.root()).read();
  }

  /**
   * Lives with a finding until its figures get worse.
   *
   * @param id a finding's id, or the beginning of one
   * @param because the reason; may be empty
   */
  public Finding accept(String id, String because) {
    Finding finding = finding(survey(), id);
    try (Lock lock = Lock.take(project.root())) {
      return accept(finding, because);
    }
  }

  private Finding accept(Finding finding, String because) {
    Map<String, Integer> figures = new TreeMap<>();
    finding.evidence().figures().forEach(figure -> figures.put(figure.name(), figure.value()));
    List<Accepted> all = new ArrayList<>(accepted());
    all.removeIf(each -> each.id().equals(finding.id()));
    all.add(
        new Accepted(finding.id(), finding.type(), because, LocalDate.now().toString(), figures));
    new AcceptedFile(project.root()).write(all);
    return finding;
  }

  /** Lets an accepted finding come back. */
  public Accepted withdraw(String id) {
    try (Lock lock = Lock.take(project.root())) {
      return withdrawLocked(id);
    }
  }

  private Accepted withdrawLocked(String id) {
    List<Accepted> all = new ArrayList<>(accepted());
    List<Accepted> meant = all.stream().filter(each -> each.id().startsWith(id)).toList();
    if (meant.size() != 1) {
      throw new UnusableRequest(
          meant.isEmpty()
              ? "No finding " + id + " is accepted."
              : id + " could be any of " + meant.stream().map(Accepted::id).toList() + ".",
          "pare accept lists the accepted findings.");
    }
    all.removeAll(meant);
    new AcceptedFile(project.root()).write(all);
    return meant.get(0);
  }

  private SourceIndex index() {
    return sources().index();
  }

  /** The step that was cut off, which the next writing command puts back. */
  public Optional<Step> unverified() {
    return journal.open();
  }

  public List<Step> steps() {
    return journal.steps();
  }

  /** The commits that can be made of what was changed. */
  public GitCommits commits() {
    return new GitCommits(project.root());
  }

  /** The steps that were kept, as a file of commands that can be done again elsewhere. */
  public String stepsAsFile() {
    return new StepsFile(journal).text();
  }

  /** What is in the journal's place and is not believed, since it was written elsewhere. */
  public List<String> strangers() {
    return journal.strangers();
  }

  /** Whether version control tracks what this machine keeps of its own steps. */
  public boolean tracksSteps() {
    return ProjectHistory.tracksWorkspace(project);
  }

  /** Whether another program is changing this project just now. */
  public boolean isBusy() {
    return Lock.isHeld(project.root());
  }

  /**
   * Lets go of the last step that is open or kept, without touching its files; empty where there is
   * none.
   */
  public Optional<Step> forget() {
    try (Lock lock = Lock.take(project.root())) {
      return journal.open().or(journal::last).map(journal::forget);
    }
  }

  /** Puts back a step that was cut off; empty where there is none. */
  public Optional<PutBack> recover() {
    try (Lock lock = Lock.take(project.root())) {
      return recoverLocked();
    }
  }

  private Optional<PutBack> recoverLocked() {
    return journal.open().map(step -> new PutBack(step, journal.putBack(step)));
  }

  /**
   * Applies a change, runs the tests, and keeps it or puts everything back.
   *
   * @throws paredown.refactor.Refused where changes of this project are not there yet
   * @throws GateStopped where it is not the change that was expected, or a gate stops it
   */
  public Applied apply(Preview preview, ApplyOptions options) throws InterruptedException {
    return new Applying(project, journal, progress).apply(preview, options);
  }

  /** Runs all tests once, the way the gate does. */
  public TestRun test() throws InterruptedException {
    progress.doing("running all tests");
    TestRun run = new ProjectTests(project, progress).run();
    TestBaseline.now(project).write(run);
    return run;
  }

  /**
   * Takes back the last kept steps, newest first; a step that was cut off is put back before.
   *
   * @return the steps that were taken back
   */
  public List<PutBack> undo(int count) {
    try (Lock lock = Lock.take(project.root())) {
      List<PutBack> undone = new ArrayList<>();
      recoverLocked().ifPresent(undone::add);
      while (undone.size() < count) {
        Optional<Step> last = journal.last();
        if (last.isEmpty()) {
          break;
        }
        takeBack(last.get());
        undone.add(new PutBack(last.get(), List.of()));
      }
      return undone;
    }
  }

  private void takeBack(Step step) {
    String interrupted =
        "Interrupted while step %d was taken back. pare undo goes on with it."
            .formatted(step.number());
    try (AtExit atExit = AtExit.run(() -> progress.said(interrupted))) {
      journal.undo(step);
    }
  }
}
