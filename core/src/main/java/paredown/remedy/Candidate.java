package paredown.remedy;

import java.util.Optional;
import paredown.project.Fingerprint;
import paredown.refactor.RefusalKind;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.operation.movemethod.MoveMethod;

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
    if (cure instanceof Cure.Extract extract
        && ExtractClass.acceptable().contains(kind)
        && !extract.refactoring().accepted().contains(kind)) {
      return Optional.of(
          new Candidate(finding, new Cure.Extract(extract.refactoring().accepting(kind))));
    }
    if (cure instanceof Cure.Move move
        && MoveMethod.acceptable().contains(kind)
        && !move.refactoring().accepted().contains(kind)) {
      return Optional.of(
          new Candidate(finding, new Cure.Move(move.refactoring().accepting(kind), move.effect())));
    }
    if (cure instanceof Cure.Part part
        && ExtractMethod.acceptable().contains(kind)
        && !part.refactoring().accepted().contains(kind)) {
      return Optional.of(
          new Candidate(finding, new Cure.Part(part.refactoring().accepting(kind), part.effect())));
    }
    return Optional.empty();
  }

  /** The same, with another name for what it makes. */
  public Candidate named(String name) {
    if (cure instanceof Cure.Extract extract) {
      return new Candidate(finding, new Cure.Extract(extract.refactoring().named(name)));
    }
    if (cure instanceof Cure.Move move) {
      return new Candidate(finding, new Cure.Move(move.refactoring().named(name), move.effect()));
    }
    if (cure instanceof Cure.Part part) {
      return new Candidate(finding, new Cure.Part(part.refactoring().named(name), part.effect()));
    }
    return this;
  }
}
