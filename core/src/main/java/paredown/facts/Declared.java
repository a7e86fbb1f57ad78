package paredown.facts;

import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What other files can see of a file, as fingerprints: equal text, equal fingerprint.
 *
 * @param frame of its types without their members, and of those members that mean something even to
 *     files that do not name them: of interfaces, abstract ones, constants
 * @param members of its other members, by owner and name
 */
public record Declared(long frame, Map<Member, Long> members) {

  public Declared {
    members = Map.copyOf(members);
  }

  /**
   * Members of one name.
   *
   * @param owner the canonical name of the type that declares them
   */
  public record Member(String owner, String name) {}

  /** The members that are not declared the same by both. */
  public Set<Member> changed(Declared other) {
    Set<Member> all = new HashSet<>(members.keySet());
    all.addAll(other.members.keySet());
    return all.stream()
        .filter(each -> !Objects.equals(members.get(each), other.members.get(each)))
        .collect(Collectors.toSet());
  }
}
