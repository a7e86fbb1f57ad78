package paredown.remedy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import paredown.refactor.Refused;

/**
 * A dropped candidate is one that was planned and cannot be done safely.
 *
 * @param says what it would have done, in words
 * @param reason why it cannot be done, with the places and what lifts it
 */
public record Dropped(String says, String reason) {

  static Dropped refused(Candidate candidate, Refused refused) {
    StringBuilder reason = new StringBuilder(refused.reason());
    if (!refused.places().isEmpty()) {
      reason.append(" (").append(String.join(", ", refused.places())).append(')');
    }
    if (!refused.advice().isEmpty()) {
      reason.append(' ').append(refused.advice());
    }
    return new Dropped(candidate.cure().says(), reason.toString());
  }

  /** A sentence for each reason, with all that it keeps from being done. */
  public static List<String> sentences(List<Dropped> all) {
    Map<String, List<String>> byReason = new LinkedHashMap<>();
    all.forEach(
        each ->
            byReason.computeIfAbsent(each.reason(), reason -> new ArrayList<>()).add(each.says()));
    return byReason.entrySet().stream()
        .map(entry -> joined(entry.getValue()) + ": " + entry.getKey())
        .toList();
  }

  /** Names that are lists themselves are parted otherwise. */
  private static String joined(List<String> says) {
    return String.join(says.stream().anyMatch(each -> each.contains(", ")) ? "; " : ", ", says);
  }
}
