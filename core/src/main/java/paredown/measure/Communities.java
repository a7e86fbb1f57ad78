package paredown.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.alg.scoring.EdgeBetweennessCentrality;
import org.jgrapht.graph.SimpleGraph;

/**
 * The communities of members: what is left hanging together where the ties that most shortest ways
 * lead over are cut, one after the other.
 *
 * <p>Girvan and Newman, "Community structure in social and biological networks", 2002. Of ties that
 * as many ways lead over the first is cut, so that it comes to the same each time.
 */
final class Communities {
  private Communities() {}

  /** The divisions of a connected graph into two communities, into three, and so on. */
  static List<List<Set<String>>> of(Graph<String, Tie> graph, int most) {
    Graph<String, Tie> left = copy(graph);
    List<List<Set<String>>> divisions = new ArrayList<>();
    List<Set<String>> parts = new ConnectivityInspector<>(left).connectedSets();
    while (parts.size() < most && !left.edgeSet().isEmpty()) {
      left.removeEdge(between(left));
      List<Set<String>> now = new ConnectivityInspector<>(left).connectedSets();
      if (now.size() > parts.size()) {
        divisions.add(now);
      }
      parts = now;
    }
    return divisions;
  }

  private static Tie between(Graph<String, Tie> graph) {
    Map<Tie, Double> ways = new EdgeBetweennessCentrality<>(graph).getScores();
    return graph.edgeSet().stream()
        .max(
            Comparator.<Tie>comparingDouble(ways::get)
                .thenComparing(Tie::number, Comparator.reverseOrder()))
        .orElseThrow();
  }

  private static Graph<String, Tie> copy(Graph<String, Tie> graph) {
    Graph<String, Tie> copy = new SimpleGraph<>(Tie.class);
    graph.vertexSet().forEach(copy::addVertex);
    graph
        .edgeSet()
        .forEach(tie -> copy.addEdge(graph.getEdgeSource(tie), graph.getEdgeTarget(tie), tie));
    return copy;
  }
}
