package paredown.smell.detector;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleGraph;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.measure.MemberGroups;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Smell;
import paredown.text.Listed;
import paredown.text.NameWords;

/**
 * Field clumps are fields of one class that are always used together: every method that uses one of
 * them uses another.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3. Accessors and constructors do not count: they touch a
 * field for others. A clump is never more than half of a class, for then the class is its name
 * already; or than two thirds, where the other fields have nothing to do with it. So are fields
 * that stand together and have accessors only, but for one method that sums them up.
 */
public final class FieldClumps implements Detector {

  @Override
  public Stream<Finding> find(Grounds grounds) {
    Limits limits = grounds.limits();
    return grounds
        .judged()
        .filter(TypeFact::isClass)
        .filter(type -> !type.isException())
        .filter(type -> type.instanceFields().size() > limits.clumpFields())
        .flatMap(type -> clumps(type, limits));
  }

  private static Stream<Finding> clumps(TypeFact type, Limits limits) {
    Map<String, Set<String>> methodsOf = new LinkedHashMap<>();
    type.instanceFields().forEach(field -> methodsOf.put(field.name(), new LinkedHashSet<>()));
    Map<String, Set<String>> fieldsOf = new LinkedHashMap<>();
    for (MethodFact method : type.methods()) {
      if (MemberGroups.ties(method) && !method.isAccessor()) {
        Set<String> used = new TreeSet<>(method.fieldsOf(type.name()));
        used.retainAll(methodsOf.keySet());
        if (!used.isEmpty()) {
          fieldsOf.put(method.signature(), used);
          used.forEach(field -> methodsOf.get(field).add(method.signature()));
        }
      }
    }
    Graph<String, DefaultEdge> together = new SimpleGraph<>(DefaultEdge.class);
    methodsOf.keySet().forEach(together::addVertex);
    List<String> names = new ArrayList<>(methodsOf.keySet());
    for (int i = 0; i < names.size(); i++) {
      for (int j = i + 1; j < names.size(); j++) {
        if (belong(methodsOf.get(names.get(i)), methodsOf.get(names.get(j)))) {
          together.addEdge(names.get(i), names.get(j));
        }
      }
    }
    List<Finding> used = used(type, limits, together, fieldsOf, names);
    return used.isEmpty() ? summed(type, limits, fieldsOf).stream() : used.stream();
  }

  /** Groups that are used together in several methods. */
  private static List<Finding> used(
      TypeFact type,
      Limits limits,
      Graph<String, DefaultEdge> together,
      Map<String, Set<String>> fieldsOf,
      List<String> names) {
    return new ConnectivityInspector<>(together)
        .connectedSets().stream()
            .map(part -> withoutLoners(part, fieldsOf))
            .filter(part -> part.size() >= limits.clumpFields() && isPart(part, names, fieldsOf))
            .filter(part -> users(part, fieldsOf).size() >= limits.clumpMethods())
            .filter(part -> isOneThing(part, fieldsOf) && !isOwnStructure(type, part))
            .map(part -> finding(type, part, fieldsOf, limits))
            .sorted(Comparator.comparing(Finding::id))
            .toList();
  }

  /** Some method could go along, for it needs nothing else; or their names say what they are. */
  private static boolean isOneThing(Set<String> part, Map<String, Set<String>> fieldsOf) {
    return NameWords.shared(List.copyOf(part)).isPresent()
        || fieldsOf.values().stream().anyMatch(part::containsAll);
  }

  /** Whether all are made of a class within the type: the links of its list, or of its tree. */
  private static boolean isOwnStructure(TypeFact type, Set<String> part) {
    return part.stream()
        .map(name -> type.field(name).orElseThrow().type())
        .allMatch(
            written ->
                Arrays.stream(written.split("\\W+"))
                    .anyMatch(word -> type.mentions().contains(type.name() + "." + word)));
  }

  /**
   * Half of a class at most, or two thirds where the other fields have a life without them: one in
   * a method, the others there or in accessors.
   */
  private static boolean isPart(
      Set<String> part, List<String> names, Map<String, Set<String>> fieldsOf) {
    Set<String> others = new TreeSet<>(names);
    others.removeAll(part);
    Set<String> apart = new TreeSet<>();
    Set<String> along = new TreeSet<>();
    fieldsOf
        .values()
        .forEach(used -> (Collections.disjoint(used, part) ? apart : along).addAll(used));
    along.removeAll(apart);
    boolean live = !Collections.disjoint(apart, others) && Collections.disjoint(along, others);
    boolean two = part.size() * 3 <= names.size() * 2 && others.size() > 1;
    return part.size() * 2 <= names.size() || two && live;
  }

  /**
   * Fields that are declared one behind the other and have only accessors, but for one method that
   * sums them up.
   */
  private static Optional<Finding> summed(
      TypeFact type, Limits limits, Map<String, Set<String>> fieldsOf) {
    List<FieldFact> all = type.instanceFields();
    for (Map.Entry<String, Set<String>> entry : fieldsOf.entrySet()) {
      MethodFact method = type.method(entry.getKey()).orElseThrow();
      if (method.isOfAnyObject() || method.overrides()) {
        continue;
      }
      List<String> run = new ArrayList<>();
      List<String> longest = List.of();
      for (FieldFact field : all) {
        boolean alone =
            entry.getValue().contains(field.name())
                && fieldsOf.values().stream().filter(each -> each.contains(field.name())).count()
                    == 1
                && hasAccessors(type, field);
        run = alone ? new ArrayList<>(run) : new ArrayList<>();
        if (alone) {
          run.add(field.name());
        }
        longest = run.size() > longest.size() ? run : longest;
      }
      if (longest.size() >= limits.clumpFields() && longest.size() * 2 <= all.size()) {
        return Optional.of(summed(type, longest, method, limits));
      }
    }
    return Optional.empty();
  }

  /** Whether a field can be set and got by itself. */
  private static boolean hasAccessors(TypeFact type, FieldFact field) {
    return type.methods().stream()
            .filter(MethodFact::isAccessor)
            .filter(each -> each.fieldsOf(type.name()).contains(field.name()))
            .count()
        >= 2;
  }

  private static Finding summed(
      TypeFact type, List<String> fields, MethodFact method, Limits limits) {
    List<Evidence.Row> rows = new ArrayList<>();
    type.instanceFields().stream()
        .filter(field -> fields.contains(field.name()))
        .forEach(field -> rows.add(Evidence.Row.at(field.range(), field.name(), List.of())));
    rows.add(Evidence.Row.at(method.range(), method.signature(), fields));
    return new Finding(
        Smell.DATA_CLUMP,
        Form.FIELDS,
        (int) Math.round(24 + 14 * (1 - 2.0 / fields.size())),
        type.name(),
        fields,
        fields,
        type.range(),
        "%s are got and set, and come together in %s"
            .formatted(Listed.few(fields, Listed.SHOWN), method.name()),
        "%s of %s are one thing without a name."
            .formatted(Listed.of(fields), Finding.shortName(type.name())),
        Evidence.of(
            List.of(
                new Evidence.Figure(
                    "fields",
                    fields.size(),
                    limits.clumpFields(),
                    "%d of its %d fields, declared one behind the other"
                        .formatted(fields.size(), type.instanceFields().size())),
                new Evidence.Figure(
                    "methods", 1, 1, "no method but their accessors uses them, except one")),
            "They stand together, and one method sums them up:",
            rows));
  }

  /** Two fields belong together where at least half of the methods that use one use both. */
  private static boolean belong(Set<String> one, Set<String> other) {
    Set<String> both = new LinkedHashSet<>(one);
    both.retainAll(other);
    Set<String> either = new LinkedHashSet<>(one);
    either.addAll(other);
    return both.size() >= 2 && both.size() * 2 >= either.size();
  }

  /** Takes out fields that some method uses without any other of the group, until none is left. */
  private static Set<String> withoutLoners(Set<String> part, Map<String, Set<String>> fieldsOf) {
    Set<String> group = new TreeSet<>(part);
    boolean shrank = true;
    while (shrank) {
      shrank = false;
      for (Set<String> used : fieldsOf.values()) {
        Set<String> common = new TreeSet<>(used);
        common.retainAll(group);
        if (common.size() == 1) {
          shrank |= group.removeAll(common);
        }
      }
    }
    return group;
  }

  private static List<String> users(Set<String> group, Map<String, Set<String>> fieldsOf) {
    return fieldsOf.entrySet().stream()
        .filter(entry -> entry.getValue().stream().anyMatch(group::contains))
        .map(Map.Entry::getKey)
        .toList();
  }

  private static Finding finding(
      TypeFact type, Set<String> group, Map<String, Set<String>> fieldsOf, Limits limits) {
    List<String> fields =
        type.instanceFields().stream().map(FieldFact::name).filter(group::contains).toList();
    List<String> users = users(group, fieldsOf);
    List<Evidence.Figure> figures =
        List.of(
            new Evidence.Figure(
                "fields",
                fields.size(),
                limits.clumpFields(),
                "%d of its %d fields; from %d on they are worth a class"
                    .formatted(fields.size(), type.instanceFields().size(), limits.clumpFields())),
            new Evidence.Figure(
                "methods",
                users.size(),
                limits.clumpMethods(),
                "%d methods use them, always more than one at a time".formatted(users.size())));
    List<Evidence.Row> rows = new ArrayList<>();
    type.instanceFields().stream()
        .filter(field -> group.contains(field.name()))
        .forEach(field -> rows.add(Evidence.Row.at(field.range(), field.name(), List.of())));
    type.methods().stream()
        .filter(method -> users.contains(method.signature()))
        .forEach(
            method ->
                rows.add(
                    Evidence.Row.at(
                        method.range(),
                        method.signature(),
                        fields.stream()
                            .filter(fieldsOf.get(method.signature())::contains)
                            .toList())));
    return new Finding(
        Smell.DATA_CLUMP,
        Form.FIELDS,
        weight(fields.size(), users.size()) - mixed(users, group, fieldsOf),
        type.name(),
        fields,
        fields,
        type.range(),
        Listed.few(fields, Listed.SHOWN) + " are always used together",
        "%s of %s are one thing without a name."
            .formatted(Listed.of(fields), Finding.shortName(type.name())),
        Evidence.of(figures, "Every method that uses one of them uses another:", rows));
  }

  /** The weight that goes, up to 12, where methods use other fields of the class with them. */
  private static int mixed(
      List<String> users, Set<String> group, Map<String, Set<String>> fieldsOf) {
    long mixed = users.stream().filter(user -> !group.containsAll(fieldsOf.get(user))).count();
    return (int) (12 * mixed / users.size());
  }

  /** 20, and more for every field and every method: up to 25 for fields and 25 for methods. */
  public static int weight(int fields, int methods) {
    return (int) Math.round(20 + 25 * (1 - 2.0 / fields) + 25 * (1 - 2.0 / methods));
  }
}
