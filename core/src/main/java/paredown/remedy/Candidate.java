package paredown.remedy;

import java.util.Optional;
import paredown.project.Fingerprint;
import paredown.refactor.RefusalKind;

/**
 * A candidate is a refactoring with its arguments that, on the facts, would cure a finding.
 *
 * @param finding the finding's id
 */
public record Candidate(String finding, Cure cure) {

  /** The finding's id and two hexadecimal digits of the arguments, proposed names left out. */
  public String id() {
    Fingerprint arguments = new Fingerprint();
    if (cure instanceof Cure.Extract extract) {
      arguments
          .add(String.join(",", extract.refactoring().fields()))
          .add(String.join(",", extract.refactoring().methods()));
    } else {
      arguments.add(cure.command().replaceAll(" --(name|accept) \\S+", ""));
    }
    return finding + "." + arguments.hex(2);
  }

  /** The part of its id that tells it from the finding's other candidates. */
  public String shortId() {
    String id = id();
    return id.substring(id.lastIndexOf('.') + 1);
  }

  /** The same where a kind of refusal is accepted; empty where it cannot be, or is already. */
  public Optional<Candidate> accepting(RefusalKind kind) {
    return cure.accepting(kind).map(accepting -> new Candidate(finding, accepting));
  }

  /** The same, with another name for what it makes. */
  public Candidate named(String name) {
    return new Candidate(finding, cure.named(name));
  }
}
