package paredown.remedy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import paredown.project.Fingerprint;
import paredown.refactor.RefusalKind;

/**
 * A candidate is a refactoring with its arguments that, on the facts, would cure a finding.
 *
 * @param finding the finding's id
 * @param turn mostly 0; counts up where another candidate of the finding would have its id
 */
public record Candidate(String finding, Cure cure, int turn) {
  /** More turns than two digits can tell apart. */
  private static final int MOST = 1_000;

  Candidate(String finding, Cure cure) {
    this(finding, cure, 0);
  }

  /** The candidates of a finding, each with an id of its own. */
  static List<Candidate> apart(List<Candidate> candidates) {
    Map<String, Candidate> apart = new LinkedHashMap<>();
    for (Candidate each : candidates) {
      Candidate other = each;
      while (apart.containsKey(other.id()) && other.turn < MOST) {
        other = new Candidate(each.finding, each.cure, other.turn + 1);
      }
      apart.putIfAbsent(other.id(), other);
    }
    return List.copyOf(apart.values());
  }

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
    if (turn > 0) {
      arguments.add(String.valueOf(turn));
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
    return cure.accepting(kind).map(accepting -> new Candidate(finding, accepting, turn));
  }

  /** The same, with another name for what it makes. */
  public Candidate named(String name) {
    return new Candidate(finding, cure.named(name), turn);
  }
}
