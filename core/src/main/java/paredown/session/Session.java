package paredown.session;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import paredown.UnusableRequest;
import paredown.edit.Change;
import paredown.gate.TestRun;
import paredown.history.GitCommits;
import paredown.journal.Journal;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.Progress;
import paredown.project.Project;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.asked.Given;
import paredown.refactor.asked.MemberName;
import paredown.refactor.asked.Operation;
import paredown.remedy.Candidate;
import paredown.remedy.Remedies;
import paredown.remedy.Remedy;
import paredown.smell.Finding;
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
    return new Surveying(project, sources(), accepted(), commits, progress).survey();
  }

  /**
   * Explains one finding.
   *
   * @param id a finding's id, or the beginning of one
   * @param patience how many remedies are looked for, and for how long
   */
  public Explanation why(String id, Remedies.Patience patience) {
    Survey survey = survey();
    return explain(survey, survey.finding(id), patience);
  }

  /** Explains one finding of a survey. */
  public Explanation explain(Survey survey, Finding finding, Remedies.Patience patience) {
    progress.doing("planning remedies of " + finding.id());
    Remedies remedies =
        Remedies.plan(
            finding, survey.candidates(finding), survey.grounds(), sources(), index(), patience);
    return Explanation.of(finding, survey.facts(), sources(), remedies);
  }

  /** Some lines of a file, as they stand there. */
  public List<String> lines(String file, int first, int last) {
    SourceText source = sources().text(file);
    return IntStream.rangeClosed(first, last).mapToObj(source::lineText).toList();
  }

  /**
   * Plans a remedy and lets the first two gates judge it; nothing is written.
   *
   * @param id a finding's id and the remedy's own two digits; the finding's id will do where it has
   *     only one
   * @param name for the new class; empty where the proposed one will do
   * @param accepted the kinds of refusal that are accepted
   * @param until how many of its steps are done; empty for all
   * @throws paredown.refactor.Refused where it cannot be done safely
   */
  public Preview mend(
      String id, Optional<String> name, Set<RefusalKind> accepted, OptionalInt until) {
    Survey survey = survey();
    Finding finding = survey.finding(id);
    String digits = id.contains(".") ? id.substring(id.lastIndexOf('.')) : "";
    List<Candidate> meant =
        survey.candidates(finding).stream()
            .filter(candidate -> candidate.id().endsWith(digits))
            .toList();
    if (digits.isEmpty() && meant.size() > 1) {
      List<String> found =
          explain(survey, finding, Remedies.Patience.SHORT).remedies().found().stream()
              .map(Remedy::id)
              .toList();
      meant = meant.stream().filter(each -> found.contains(each.id())).toList();
    }
    Preview whole = previews().remedy(survey, id, meant, name, accepted);
    return until.isPresent() ? previews().first(whole, until.getAsInt()) : whole;
  }

  private Previews previews() {
    return new Previews(sources(), strict, progress);
  }

  /** Plans a refactoring and lets the first two gates judge it; nothing is written. */
  public Preview preview(Refactoring refactoring) {
    return previews().of(refactoring);
  }

  /** What only a person can say before a refactoring is planned. */
  public List<Refactoring.Question> questions(Refactoring refactoring) {
    return refactoring.questions(sources(), sources().index());
  }

  /**
   * Plans an operation as it is asked for.
   *
   * @param asking answers the questions that the operation has, given those that are denied
   */
  public Preview preview(Given given, UnaryOperator<Refactoring> asking) {
    if (given.has(Operation.STAGES)) {
      MemberName method = given.member("method", "FerryDesk#receipt");
      return previews().stages(method.type(), method.member());
    }
    if (given.has(Operation.GROUPS)) {
      if (given.has("--name") || given.has("--fields") || given.has("--methods")) {
        throw new UnusableRequest(
            "--groups takes all groups, each under its own name.",
            "Leave --name, --fields and --methods out, or --groups.");
      }
      return previews().groups(survey(), given.subject());
    }
    return preview(asking.apply(given.refactoring()));
  }

  /** The findings that the project lives with. */
  public List<Accepted> accepted() {
    return new Living(project.root()).all();
  }

  /**
   * Lives with a finding until its figures get worse.
   *
   * @param id a finding's id, or the beginning of one
   * @param because the reason; may be empty
   */
  public Finding accept(String id, String because) {
    Finding finding = survey().finding(id);
    new Living(project.root()).with(finding, because);
    return finding;
  }

  /** Lets an accepted finding come back. */
  public Accepted withdraw(String id) {
    return new Living(project.root()).withdraw(id);
  }

  private SourceIndex index() {
    return sources().index();
  }

  /** What was applied to the project so far. */
  public StepsTaken taken() {
    return new StepsTaken(project, journal, progress);
  }

  /** The commits that can be made of what was changed. */
  public GitCommits commits() {
    return new GitCommits(project.root());
  }

  /** Whether version control tracks what this machine keeps of its own steps. */
  public boolean tracksSteps() {
    return ProjectHistory.tracksWorkspace(project);
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

  /** What all tests say as the project is. */
  public TestRun held(ApplyOptions options) throws InterruptedException {
    return new Applying(project, journal, progress).held(options);
  }

  /** What tests are expected to say after a change. */
  public static TestRun expected(TestRun before, Change change) {
    return Applying.expected(before, change);
  }

  /** The project's tests, as the net under its changes. */
  public TestNet net() {
    return new TestNet(project, sources(), journal, progress);
  }
}
