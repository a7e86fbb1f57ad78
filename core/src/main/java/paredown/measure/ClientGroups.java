package paredown.measure;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jgrapht.Graph;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;

/**
 * The groups of clients that use different parts of a class: parts which share no field, no call
 * and no client.
 *
 * <p>The parts are those of Hitz and Montazeri, 1995 (LCOM4), joined where a client uses both. A
 * client that uses everything joins everything.
 */
public final class ClientGroups {
  private static final int MEMBERS = 2;

  private ClientGroups() {}

  /**
   * A part of a class and who uses it.
   *
   * @param name proposed from its members' own words; empty where they share none
   */
  public record Group(
      String name, List<String> fields, List<String> methods, Set<String> clients) {}

  /** The groups of at least so many clients, largest first. */
  public static List<Group> of(TypeFact type, Clients clients, int fewest) {
    Map<String, Set<String>> users = clients.atWork(type);
    if (users.isEmpty()) {
      return List.of();
    }
    Graph<String, Tie> graph = MemberGroups.graph(type);
    Map<String, String> firstOf = new HashMap<>();
    for (MethodFact method : type.methods()) {
      if (graph.containsVertex(method.signature())) {
        for (String client : users.getOrDefault(method.signature(), Set.of())) {
          String first = firstOf.putIfAbsent(client, method.signature());
          if (first != null && !first.equals(method.signature())) {
            graph.addEdge(first, method.signature());
          }
        }
      }
    }
    List<MemberGroups.Group> parts = new ArrayList<>();
    Map<MemberGroups.Group, Set<String>> clientsOf = new HashMap<>();
    for (Set<String> part : MemberGroups.parts(graph)) {
      Set<String> own = new TreeSet<>();
      part.forEach(member -> own.addAll(users.getOrDefault(member, Set.of())));
      MemberGroups.Group group = MemberGroups.group(type, part);
      if (own.size() >= fewest && group.size() >= MEMBERS && isOwn(type, group)) {
        parts.add(group);
        clientsOf.put(group, own);
      }
    }
    Map<MemberGroups.Group, String> names = Responsibilities.names(parts);
    return parts.stream()
        .sorted((one, other) -> other.size() - one.size())
        .map(part -> new Group(names.get(part), part.fields(), part.methods(), clientsOf.get(part)))
        .toList();
  }

  /**
   * Whether a part keeps something, and does more with it than what all its kind must do, and than
   * to pass calls on.
   */
  private static boolean isOwn(TypeFact type, MemberGroups.Group group) {
    return !group.fields().isEmpty()
        && group.methods().stream()
            .map(signature -> type.method(signature).orElseThrow())
            .anyMatch(method -> !method.overrides() && method.forwards().isEmpty());
  }
}
