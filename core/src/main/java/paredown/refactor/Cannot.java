package paredown.refactor;

import paredown.gate.Verdict;

/**
 * What cannot be done, in the words of its operation.
 *
 * @param what the member and what cannot happen to it: {@code fare cannot be inlined}
 */
public record Cannot(String what) {
  /** The refusal that tells why, where nothing would lift it. */
  public Refused because(RefusalKind kind, String why, String place) {
    return because(kind, why, "", place);
  }

  /**
   * The refusal that tells why.
   *
   * @param advice what would lift it, a sentence; empty for nothing
   * @param place what it rests on, {@code path:line}
   */
  public Refused because(RefusalKind kind, String why, String advice, String place) {
    return Refused.advising(kind, what + ": " + why + ".", advice, place);
  }

  /**
   * The refusal that tells what the gates found first.
   *
   * @param verdict one that did not pass
   */
  public Refused because(RefusalKind kind, Verdict verdict, String advice) {
    Verdict.Objection met = verdict.first().orElseThrow();
    return because(kind, met.what(), advice, met.place());
  }
}
