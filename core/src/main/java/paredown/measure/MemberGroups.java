package paredown.measure;

import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.graph.AsSubgraph;
import org.jgrapht.graph.SimpleGraph;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;

/**
 * The groups of members that belong together: the connected parts of the graph in which a method is
 * tied to the instance fields that it uses and to the class's own methods that it calls.
 *
 * <p>Hitz and Montazeri, "Measuring coupling and cohesion in object-oriented systems", 1995
 * (LCOM4). Constructors and what overrides {@code toString}, {@code equals} and {@code hashCode}
 * touch everything by their nature and tie nothing.
 */
public final class MemberGroups {
  private static final Set<String> TIE_NOTHING =
      Set.of("toString()", "equals(Object)", "hashCode()");

  private MemberGroups() {}

  /**
   * A group of members.
   *
   * @param fields names, in the order of the text
   * @param methods signatures, in the order of the text
   */
  public record Group(List<String> fields, List<String> methods) {
    public int size() {
      return fields.size() + methods.size();
    }
  }

  /** The groups, largest first. Members that nothing ties to another make no group. */
  public static List<Group> of(TypeFact type) {
    return parts(graph(type)).stream()
        .filter(part -> part.size() > 1)
        .map(part -> group(type, part))
        .sorted(
            Comparator.comparingInt(Group::size)
                .reversed()
                .thenComparing(group -> String.join(",", group.fields()) + group.methods()))
        .toList();
  }

  /** The members that tie or are tied, fields by name and methods by signature. */
  static Graph<String, Tie> graph(TypeFact type) {
    Graph<String, Tie> graph = new SimpleGraph<>(null, numbered(), false);
    type.instanceFields().forEach(field -> graph.addVertex(field.name()));
    List<MethodFact> methods = type.methods().stream().filter(MemberGroups::ties).toList();
    methods.forEach(method -> graph.addVertex(method.signature()));
    for (MethodFact method : methods) {
      Set<String> used = new LinkedHashSet<>(method.fieldsOf(type.name()));
      used.addAll(method.callsOf(type.name()));
      used.stream()
          .filter(graph::containsVertex)
          .filter(member -> !member.equals(method.signature()))
          .forEach(member -> graph.addEdge(method.signature(), member));
    }
    return graph;
  }

  private static Supplier<Tie> numbered() {
    AtomicInteger last = new AtomicInteger();
    return () -> new Tie(last.incrementAndGet());
  }

  static List<Set<String>> parts(Graph<String, Tie> graph) {
    return new ConnectivityInspector<>(graph).connectedSets();
  }

  static Graph<String, Tie> within(Graph<String, Tie> graph, Set<String> part) {
    return new AsSubgraph<>(graph, part);
  }

  /** Some members of a type, in the order of the text. */
  static Group group(TypeFact type, Set<String> members) {
    return new Group(
        type.instanceFields().stream().map(FieldFact::name).filter(members::contains).toList(),
        type.methods().stream().map(MethodFact::signature).filter(members::contains).toList());
  }

  /** Whether a method can tie members together. */
  public static boolean ties(MethodFact method) {
    return method.isOfObject() && !TIE_NOTHING.contains(method.signature());
  }
}
