package paredown.measure;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;

/**
 * Tight class cohesion: of all pairs of a class's visible methods, how many use a field in common,
 * directly or through the class's own methods that they call.
 *
 * <p>Bieman and Kang, "Cohesion and reuse in an object-oriented system", 1995. Constructors, static
 * and bodiless methods are left out.
 *
 * @param methods how many methods were compared
 * @param connected how many pairs use a field in common
 */
public record Cohesion(int methods, int connected) {

  public static Cohesion of(TypeFact type) {
    List<Set<String>> used = new ArrayList<>();
    Map<String, MethodFact> own =
        type.methods().stream()
            .collect(Collectors.toMap(MethodFact::signature, Function.identity(), (a, b) -> a));
    for (MethodFact method : type.methods()) {
      if (!method.isConstructor()
          && !method.isStatic()
          && !method.isAbstract()
          && !method.isPrivate()) {
        used.add(reached(type, method, own));
      }
    }
    int connected = 0;
    for (int i = 0; i < used.size(); i++) {
      for (int j = i + 1; j < used.size(); j++) {
        Set<String> common = new HashSet<>(used.get(i));
        common.retainAll(used.get(j));
        connected += common.isEmpty() ? 0 : 1;
      }
    }
    return new Cohesion(used.size(), connected);
  }

  private static Set<String> reached(TypeFact type, MethodFact start, Map<String, MethodFact> own) {
    Set<String> fields = new HashSet<>();
    Set<MethodFact> seen = new HashSet<>(Set.of(start));
    Deque<MethodFact> open = new ArrayDeque<>(seen);
    while (!open.isEmpty()) {
      MethodFact method = open.pop();
      method.fieldsOf(type.name()).stream()
          .filter(name -> type.field(name).filter(field -> !field.isStatic()).isPresent())
          .forEach(fields::add);
      for (String called : method.callsOf(type.name())) {
        MethodFact next = own.get(called);
        if (next != null && seen.add(next)) {
          open.push(next);
        }
      }
    }
    return fields;
  }

  public int pairs() {
    return methods * (methods - 1) / 2;
  }

  /** From 0, no pair, to 1, every pair; 1 where there are fewer than two methods. */
  public double value() {
    return pairs() == 0 ? 1 : (double) connected / pairs();
  }

  /** The same in whole percent, rounded down. */
  public int percent() {
    return (int) Math.floor(value() * 100);
  }
}
