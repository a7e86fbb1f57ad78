package paredown.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jgrapht.Graph;
import org.jgrapht.alg.clustering.UndirectedModularityMeasurer;
import paredown.facts.TypeFact;
import paredown.text.NameWords;

/**
 * The responsibilities of a class: its members clustered by what they use together, and where that
 * leaves some apart, by the words of their names and by who uses them.
 *
 * <p>Parts that share nothing are found first. A large part is divided where its members hang
 * together in {@link Communities}, if their modularity (Newman and Girvan, 2004) is high enough,
 * each has a field, and at most a tenth of all uses crosses from one to another; or where only a
 * few {@link Hubs} hold it together. Parts of more than eighty members are divided into {@link
 * Themes}.
 */
public final class Responsibilities {
  private static final int DIVIDED_FROM = 10;
  private static final int DIVIDED_TO = 80;
  private static final int SMALLEST = 3;
  private static final int MOST = 4;
  private static final double MODULARITY = 0.35;
  private static final int CROSSING = 10;

  private final TypeFact type;
  private final Map<String, Set<String>> users;
  private final Divisions divisions;
  private final List<Set<String>> groups = new ArrayList<>();

  private Responsibilities(TypeFact type, Clients clients, Divisions divisions) {
    this.type = type;
    this.users = clients.ofMembers(type);
    this.divisions = divisions;
  }

  /**
   * The groups, largest first. What touches nothing and shares no word or client with any group is
   * in none.
   */
  public static List<MemberGroups.Group> of(TypeFact type, Clients clients, Divisions divisions) {
    return new Responsibilities(type, clients, divisions).groups();
  }

  private List<MemberGroups.Group> groups() {
    Graph<String, Tie> graph = MemberGroups.graph(type);
    Set<String> loose = new TreeSet<>();
    for (Set<String> part : MemberGroups.parts(graph)) {
      if (part.size() < SMALLEST) {
        loose.addAll(part);
      } else {
        groups.addAll(divided(graph, part));
      }
    }
    groups.sort(Comparator.comparing(members -> new TreeSet<>(members).toString()));
    loose.forEach(this::settle);
    return groups.stream()
        .map(members -> MemberGroups.group(type, members))
        .sorted(Comparator.comparingInt(MemberGroups.Group::size).reversed())
        .toList();
  }

  private List<Set<String>> divided(Graph<String, Tie> whole, Set<String> part) {
    if (part.size() < DIVIDED_FROM) {
      return List.of(new TreeSet<>(part));
    }
    Graph<String, Tie> graph = MemberGroups.within(whole, part);
    List<Set<String>> divided = divisions.of(from(graph), () -> worked(graph, part));
    if (divided.size() > 1 || part.size() > DIVIDED_TO) {
      return divided;
    }
    List<Set<String>> apart = Hubs.apart(type, graph);
    return apart.isEmpty() ? divided : apart;
  }

  /** All that a division is worked out from. */
  private String from(Graph<String, Tie> graph) {
    StringBuilder from = new StringBuilder();
    for (String member : new TreeSet<>(graph.vertexSet())) {
      from.append(member)
          .append(type.field(member).isPresent())
          .append(new TreeSet<>(users.getOrDefault(member, Set.of())))
          .append('\n');
    }
    graph.edgeSet().stream()
        .sorted(Comparator.comparingLong(Tie::number))
        .forEach(
            tie ->
                from.append(graph.getEdgeSource(tie))
                    .append('-')
                    .append(graph.getEdgeTarget(tie))
                    .append('\n'));
    return from.toString();
  }

  private List<Set<String>> worked(Graph<String, Tie> graph, Set<String> part) {
    if (part.size() > DIVIDED_TO) {
      return Themes.of(graph, users);
    }
    UndirectedModularityMeasurer<String, Tie> measurer = new UndirectedModularityMeasurer<>(graph);
    List<Set<String>> best = List.of(part);
    double highest = MODULARITY;
    for (List<Set<String>> clusters :
        Communities.of(graph, MOST, graph.edgeSet().size() / CROSSING)) {
      double modularity = measurer.modularity(clusters);
      if (modularity > highest && isPlain(clusters)) {
        best = clusters;
        highest = modularity;
      }
    }
    return best;
  }

  /** A cut is plain where every side has state and logic. */
  private boolean isPlain(List<Set<String>> clusters) {
    return clusters.stream()
        .allMatch(
            cluster ->
                cluster.size() >= SMALLEST
                    && cluster.stream().anyMatch(name -> type.field(name).isPresent()));
  }

  /** Puts a member to the group whose names and clients are most like its own. */
  private void settle(String member) {
    Set<String> best = null;
    double closest = 0;
    for (Set<String> group : groups) {
      double closeness =
          group.stream().mapToDouble(other -> closeness(member, other)).sum() / group.size();
      if (closeness > closest) {
        closest = closeness;
        best = group;
      }
    }
    if (best != null) {
      best.add(member);
    }
  }

  private double closeness(String one, String other) {
    return alike(new HashSet<>(NameWords.telling(one)), new HashSet<>(NameWords.telling(other)))
        + alike(users.getOrDefault(one, Set.of()), users.getOrDefault(other, Set.of()));
  }

  /** Jaccard's measure: what two sets have in common, of what either has. */
  private static double alike(Set<String> one, Set<String> other) {
    Set<String> both = new HashSet<>(one);
    both.retainAll(other);
    Set<String> either = new HashSet<>(one);
    either.addAll(other);
    return either.isEmpty() ? 0 : (double) both.size() / either.size();
  }

  /** A name for each group, from the word that tells it from the others; empty where none does. */
  public static Map<MemberGroups.Group, String> names(List<MemberGroups.Group> groups) {
    Map<MemberGroups.Group, String> names = new HashMap<>();
    for (MemberGroups.Group group : groups) {
      List<String> others = new ArrayList<>();
      groups.stream().filter(each -> each != group).forEach(each -> others.addAll(all(each)));
      names.put(
          group, NameWords.distinctive(all(group), others).map(NameWords::capitalised).orElse(""));
    }
    return names;
  }

  private static List<String> all(MemberGroups.Group group) {
    List<String> all = new ArrayList<>(group.fields());
    all.addAll(group.methods());
    return all;
  }
}
