package paredown.session;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import paredown.facts.Facts;
import paredown.program.CompileError;
import paredown.remedy.Candidate;
import paredown.smell.Finding;

/**
 * A survey is what is worth a look in a project, and what was looked at.
 *
 * @param findings worst first
 * @param candidates by the findings' ids, drawn from the facts and not planned yet
 * @param missing an error that stands for the names that could not be resolved
 * @param garbled files that are no text in the project's encoding
 * @param millis how long it took
 */
public record Survey(
    String project,
    Facts facts,
    List<Finding> findings,
    Map<String, List<Candidate>> candidates,
    Optional<CompileError> missing,
    List<String> garbled,
    long millis) {

  public Survey {
    findings = List.copyOf(findings);
    candidates = Map.copyOf(candidates);
  }
}
