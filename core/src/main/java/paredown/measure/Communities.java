package paredown.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.Graph;
import org.jgrapht.Graphs;
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

  /**
   * The divisions of a connected graph into two communities, into three, and so on.
   *
   * @param most so many communities at the most
   * @param crossing so many ties lead from one to another at the most
   */
  static List<List<Set<String>>> of(Graph<String, Tie> graph, int most, int crossing) {
    Graph<String, Tie> left = new SimpleGraph<>(Tie.class);
    Graphs.addGraph(left, graph);
    List<List<Set<String>>> divisions = new ArrayList<>();
    int known = 1;
    // Where more was cut for nothing than may cross, what comes of it would say little.
    for (int cut = 0; cut < crossing * 2 && known < most && !left.edgeSet().isEmpty(); cut++) {
      left.removeEdge(between(left));
      List<Set<String>> parts = MemberGroups.parts(left);
      if (parts.size() > known) {
        if (crossing(graph, parts) > crossing) {
          return divisions;
        }
        divisions.add(parts);
        known = parts.size();
      }
    }
    return divisions;
  }

  private static long crossing(Graph<String, Tie> graph, List<Set<String>> parts) {
    return graph.edgeSet().stream()
        .filter(
            edge ->
                parts.stream()
                    .noneMatch(
                        part ->
                            part.contains(graph.getEdgeSource(edge))
                                && part.contains(graph.getEdgeTarget(edge))))
        .count();
  }

  private static Tie between(Graph<String, Tie> graph) {
    Map<Tie, Double> ways = new EdgeBetweennessCentrality<>(graph).getScores();
    return graph.edgeSet().stream()
        .max(
            Comparator.<Tie>comparingDouble(ways::get)
                .thenComparing(Tie::number, Comparator.reverseOrder()))
        .orElseThrow();
  }
}
