package paredown.bench.sites;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import paredown.facts.Facts;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;

/** Which files use a member, as the facts tell. */
public final class Callers {
  private final Map<String, Set<String>> files = new HashMap<>();

  public Callers(Facts facts) {
    for (TypeFact type : facts.types()) {
      for (MethodFact method : type.methods()) {
        method.uses().forEach(use -> add(use, type.range().file()));
      }
      type.initialising().uses().forEach(use -> add(use, type.range().file()));
    }
  }

  private void add(MethodFact.MemberUse use, String file) {
    files.computeIfAbsent(use.type() + "#" + use.member(), key -> new TreeSet<>()).add(file);
  }

  /** The files but its own that use a member. */
  public Set<String> of(TypeFact type, String member) {
    Set<String> found = new TreeSet<>(files.getOrDefault(type.name() + "#" + member, Set.of()));
    found.remove(type.range().file());
    return found;
  }
}
