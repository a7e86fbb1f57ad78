package paredown.refactor;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** The kinds of refusal that a user overrules, and which of them were met. */
final class Overruled {
  private final Set<RefusalKind> accepted;
  private final Set<RefusalKind> met = new TreeSet<>();

  Overruled(Set<RefusalKind> accepted) {
    this.accepted = accepted;
  }

  /** Whether a refusal that is met here is overruled. */
  boolean overrules(RefusalKind kind) {
    if (accepted.contains(kind)) {
      met.add(kind);
      return true;
    }
    return false;
  }

  boolean wasMet(RefusalKind kind) {
    return met.contains(kind);
  }

  /** What is said of those that were met: {@code Accepted: serialized, …}. */
  List<String> notes() {
    return met.stream().map(kind -> "Accepted: " + kind.id() + ", " + kind.why() + ".").toList();
  }
}
