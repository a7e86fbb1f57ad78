package paredown.session;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import paredown.UnusableRequest;
import paredown.facts.Facts;
import paredown.program.CompileError;
import paredown.project.Nearest;
import paredown.remedy.Candidate;
import paredown.remedy.Candidates;
import paredown.smell.Finding;
import paredown.smell.Grounds;

/**
 * A survey is what is worth a look in a project, and what was looked at.
 *
 * @param findings worst first
 * @param accepted those that the project lives with; not among the others
 * @param grounds what the findings rest on
 * @param missing an error that stands for the names that could not be resolved
 * @param garbled files that are no text in the project's encoding
 * @param passedOver what looks like a source and is no file that could be read
 * @param millis how long it took
 */
public record Survey(
    String project,
    Facts facts,
    List<Finding> findings,
    List<Finding> accepted,
    Grounds grounds,
    Optional<CompileError> missing,
    List<String> garbled,
    List<String> passedOver,
    long millis) {

  public Survey {
    findings = List.copyOf(findings);
    accepted = List.copyOf(accepted);
  }

  /** The same survey with some of its findings only. */
  public Survey only(Predicate<Finding> asked) {
    return new Survey(
        project,
        facts,
        findings.stream().filter(asked).toList(),
        accepted.stream().filter(asked).toList(),
        grounds,
        missing,
        garbled,
        passedOver,
        millis);
  }

  /**
   * One of its findings, accepted ones among them.
   *
   * @param idOfFindingOrRemedy the finding's id, the beginning of one, or the id of a remedy of it
   * @throws UnusableRequest where there is none, or several are meant
   */
  public Finding finding(String idOfFindingOrRemedy) {
    String id = idOfFindingOrRemedy.replaceAll("\\..*", "");
    List<Finding> all = Stream.of(findings, accepted).flatMap(List::stream).toList();
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

  /** What could cure one of its findings, drawn from the facts and not planned yet. */
  public List<Candidate> candidates(Finding finding) {
    return Candidates.of(finding, grounds);
  }

  /** The candidates for all findings about a class. */
  Stream<Candidate> candidatesOf(String type) {
    return Stream.concat(findings.stream(), accepted.stream())
        .filter(finding -> finding.type().equals(type))
        .flatMap(finding -> candidates(finding).stream());
  }
}
