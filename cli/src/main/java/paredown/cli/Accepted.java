package paredown.cli;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.project.Nearest;
import paredown.refactor.RefusalKind;

/** The refusals that {@code --accept} overrules. */
final class Accepted {
  private Accepted() {}

  /**
   * The kinds that these words name.
   *
   * @throws UnusableRequest where one is none that the operation can overrule
   */
  static Set<RefusalKind> of(List<String> words, List<RefusalKind> acceptable) {
    Set<RefusalKind> kinds = new LinkedHashSet<>();
    List<String> known = acceptable.stream().map(RefusalKind::id).toList();
    for (String word : words) {
      kinds.add(
          acceptable.stream()
              .filter(kind -> kind.id().equals(word.strip()))
              .findFirst()
              .orElseThrow(
                  () ->
                      new UnusableRequest(
                          "--accept " + word + " is not something that can be overruled.",
                          Nearest.advice(
                              word, known, "There are " + String.join(", ", known) + "."))));
    }
    return kinds;
  }
}
