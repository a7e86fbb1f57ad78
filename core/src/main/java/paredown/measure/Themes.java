package paredown.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import nl.cwts.networkanalysis.Clustering;
import nl.cwts.networkanalysis.LeidenAlgorithm;
import nl.cwts.networkanalysis.Network;
import nl.cwts.util.LargeDoubleArray;
import nl.cwts.util.LargeIntArray;
import org.jgrapht.Graph;
import org.jgrapht.Graphs;
import paredown.text.NameWords;

/**
 * The themes of a large part whose members all hang together: communities of members that use each
 * other, share telling words in their names, or serve the same few clients. Methods that touch
 * nearly everything tie nothing.
 *
 * <p>Traag, Waltman and van Eck, "From Louvain to Leiden: guaranteeing well-connected communities",
 * 2019. The same part has the same themes each time.
 */
final class Themes {
  private static final long SEED = 20261129L;
  private static final int ITERATIONS = 20;
  private static final int SMALLEST = 3;

  /** What is tied to so great a part of all members ties nothing: one in so many. */
  private static final int HUB = 8;

  /** A word or a client of more members than one in so many tells none of them from others. */
  private static final int COMMON = 5;

  private static final double BY_WORD = 2;
  private static final double BY_CLIENT = 0.5;

  private final Graph<String, Tie> graph;
  private final List<String> members;
  private final Map<String, Integer> numbers = new HashMap<>();
  private final Map<Long, Double> weights = new TreeMap<>();

  private Themes(Graph<String, Tie> graph) {
    this.graph = graph;
    this.members = List.copyOf(new TreeSet<>(graph.vertexSet()));
    members.forEach(each -> numbers.put(each, numbers.size()));
  }

  /**
   * The themes, largest first; a member that has nothing to do with any is in none.
   *
   * @param graph of the part's members
   * @param users of each member
   */
  static List<Set<String>> of(Graph<String, Tie> graph, Map<String, Set<String>> users) {
    Themes themes = new Themes(graph);
    themes.tieByUse();
    themes.tieBy(member -> new HashSet<>(NameWords.telling(member)), BY_WORD);
    themes.tieBy(member -> users.getOrDefault(member, Set.of()), BY_CLIENT);
    return themes.joined(themes.clusters());
  }

  private static boolean isField(String member) {
    return member.indexOf('(') < 0;
  }

  /** Whether it is a method that uses, or is called by, nearly everything. */
  private boolean isHub(String member) {
    return !isField(member) && graph.degreeOf(member) * HUB > members.size();
  }

  private void tieByUse() {
    for (Tie tie : graph.edgeSet()) {
      String from = graph.getEdgeSource(tie);
      String to = graph.getEdgeTarget(tie);
      if (!isHub(from) && !isHub(to)) {
        tie(numbers.get(from), numbers.get(to), 1);
      }
    }
  }

  /** Ties what has something in common, the closer the fewer have it. */
  private void tieBy(Function<String, Set<String>> marks, double weight) {
    Map<String, List<Integer>> having = new TreeMap<>();
    for (String member : members) {
      marks
          .apply(member)
          .forEach(
              mark ->
                  having.computeIfAbsent(mark, m -> new ArrayList<>()).add(numbers.get(member)));
    }
    for (List<Integer> some : having.values()) {
      if (some.size() * COMMON <= members.size()) {
        for (int i = 0; i < some.size(); i++) {
          for (int j = i + 1; j < some.size(); j++) {
            tie(some.get(i), some.get(j), weight / (some.size() - 1));
          }
        }
      }
    }
  }

  private void tie(int one, int other, double weight) {
    long key = (long) Math.min(one, other) * members.size() + Math.max(one, other);
    weights.merge(key, weight, Double::sum);
  }

  private Clustering clusters() {
    LargeIntArray[] ends = {new LargeIntArray(weights.size()), new LargeIntArray(weights.size())};
    LargeDoubleArray weight = new LargeDoubleArray(weights.size());
    int at = 0;
    for (Map.Entry<Long, Double> entry : weights.entrySet()) {
      ends[0].set(at, (int) (entry.getKey() / members.size()));
      ends[1].set(at, (int) (entry.getKey() % members.size()));
      weight.set(at++, entry.getValue());
    }
    Network network = new Network(members.size(), true, ends, weight, false, true);
    // With nodes that weigh what their ties do, this resolution makes modularity the measure.
    double resolution = 1 / (2 * network.getTotalEdgeWeight());
    return new LeidenAlgorithm(
            resolution, ITERATIONS, LeidenAlgorithm.DEFAULT_RANDOMNESS, new Random(SEED))
        .findClustering(network);
  }

  /** The clusters as sets; what is in none of some size goes where most of its ties lead. */
  private List<Set<String>> joined(Clustering clustering) {
    Map<Integer, Set<String>> byNumber = new TreeMap<>();
    for (int i = 0; i < members.size(); i++) {
      byNumber
          .computeIfAbsent(clustering.getCluster(i), number -> new TreeSet<>())
          .add(members.get(i));
    }
    List<Set<String>> themes = new ArrayList<>();
    List<String> loose = new ArrayList<>();
    for (Set<String> cluster : byNumber.values()) {
      // Methods that have names alike, and no state, are part of what they work on.
      if (cluster.size() < SMALLEST || cluster.stream().noneMatch(Themes::isField)) {
        loose.addAll(cluster);
      } else {
        themes.add(cluster);
      }
    }
    Map<String, Set<String>> joining = new TreeMap<>();
    loose.forEach(member -> nearest(member, themes).ifPresent(theme -> joining.put(member, theme)));
    joining.forEach((member, theme) -> theme.add(member));
    themes.sort(
        Comparator.<Set<String>>comparingInt(Set::size).reversed().thenComparing(Set::toString));
    return themes;
  }

  /** The theme that a member has most ties with; empty where it has none with any. */
  private Optional<Set<String>> nearest(String member, List<Set<String>> themes) {
    Set<String> near = new HashSet<>(Graphs.neighborListOf(graph, member));
    Set<String> best = null;
    long most = 0;
    for (Set<String> theme : themes) {
      long ties = theme.stream().filter(near::contains).count();
      if (ties > most) {
        most = ties;
        best = theme;
      }
    }
    return Optional.ofNullable(best);
  }
}
