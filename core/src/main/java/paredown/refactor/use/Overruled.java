package paredown.refactor.use;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.refactor.RefusalKind;

/** The kinds of refusal that a user overrules, and which of them were met. */
public final class Overruled {
  private final Set<RefusalKind> accepted;
  private final Set<RefusalKind> met = new TreeSet<>();

  public Overruled(Set<RefusalKind> accepted) {
    this.accepted = accepted;
  }

  /** Whether a refusal that is met here is overruled. */
  public boolean overrules(RefusalKind kind) {
    if (accepted.contains(kind)) {
      met.add(kind);
      return true;
    }
    return false;
  }

  public boolean wasMet(RefusalKind kind) {
    return met.contains(kind);
  }

  /** What is said of those that were met: {@code Accepted: serialized, …}. */
  public List<String> notes() {
    return met.stream().map(kind -> "Accepted: " + kind.id() + ", " + kind.why() + ".").toList();
  }
}
