package paredown.session;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.program.CompileError;
import paredown.remedy.Candidate;
import paredown.smell.Finding;
import paredown.smell.Grounds;

/**
 * A survey is what is worth a look in a project, and what was looked at.
 *
 * @param findings worst first
 * @param accepted those that the project lives with; not among the others
 * @param candidates by the findings' ids, drawn from the facts and not planned yet
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
    Map<String, List<Candidate>> candidates,
    Grounds grounds,
    Optional<CompileError> missing,
    List<String> garbled,
    List<String> passedOver,
    long millis) {

  public Survey {
    findings = List.copyOf(findings);
    accepted = List.copyOf(accepted);
    candidates = Map.copyOf(candidates);
  }

  /** The same survey with some of its findings only. */
  public Survey only(Predicate<Finding> asked) {
    return new Survey(
        project,
        facts,
        findings.stream().filter(asked).toList(),
        accepted.stream().filter(asked).toList(),
        candidates,
        grounds,
        missing,
        garbled,
        passedOver,
        millis);
  }
}
