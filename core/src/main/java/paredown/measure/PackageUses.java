package paredown.measure;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.jgrapht.alg.TransitiveClosure;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleDirectedGraph;
import paredown.facts.Facts;
import paredown.facts.TypeFact;

/** Which packages of a project use which, directly or through others. */
public final class PackageUses {
  private final SimpleDirectedGraph<String, DefaultEdge> uses =
      new SimpleDirectedGraph<>(DefaultEdge.class);
  private final Map<String, String> packages = new HashMap<>();

  private PackageUses() {}

  public static PackageUses of(Facts facts) {
    PackageUses found = new PackageUses();
    Map<String, TypeFact> types = facts.byName();
    facts.types().forEach(type -> found.packages.put(type.name(), packageOf(type, types)));
    found.packages.values().forEach(found.uses::addVertex);
    for (TypeFact type : facts.types()) {
      String from = found.packages.get(type.name());
      for (String mentioned : type.mentions()) {
        String to = found.packages.get(mentioned);
        if (to != null && !to.equals(from)) {
          found.uses.addEdge(from, to);
        }
      }
    }
    TransitiveClosure.INSTANCE.closeSimpleDirectedGraph(found.uses);
    return found;
  }

  private static String packageOf(TypeFact type, Map<String, TypeFact> types) {
    TypeFact at = type;
    while (types.get(at.outer()) != null) {
      at = types.get(at.outer());
    }
    int dot = at.name().lastIndexOf('.');
    return dot < 0 ? "" : at.name().substring(0, dot);
  }

  /** Whether types of the project are of one package. */
  public boolean areTogether(String type, Set<String> others) {
    return others.stream().allMatch(each -> packages.get(type).equals(packages.get(each)));
  }

  /** Whether a class that began to use these types would tie packages into a circle. */
  public boolean wouldCircle(String type, Set<String> others) {
    String from = packages.get(type);
    return others.stream()
        .map(packages::get)
        .filter(to -> to != null && !to.equals(from) && !uses.containsEdge(from, to))
        .anyMatch(to -> uses.containsEdge(to, from));
  }
}
