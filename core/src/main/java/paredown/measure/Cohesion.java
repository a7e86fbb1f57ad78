package paredown.measure;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
    Map<String, BitSet> reached = reached(type);
    Map<BitSet, Integer> alike = new HashMap<>();
    int methods = 0;
    for (MethodFact method : type.methods()) {
      if (method.isOfObject() && !method.isPrivate()) {
        alike.merge(reached.get(method.signature()), 1, Integer::sum);
        methods++;
      }
    }
    return new Cohesion(methods, connected(new ArrayList<>(alike.entrySet())));
  }

  /** The pairs with something in common; methods that use the same count together. */
  private static int connected(List<Map.Entry<BitSet, Integer>> alike) {
    int connected = 0;
    for (int i = 0; i < alike.size(); i++) {
      BitSet used = alike.get(i).getKey();
      int count = alike.get(i).getValue();
      if (used.isEmpty()) {
        continue;
      }
      connected += count * (count - 1) / 2;
      for (int j = i + 1; j < alike.size(); j++) {
        connected += used.intersects(alike.get(j).getKey()) ? count * alike.get(j).getValue() : 0;
      }
    }
    return connected;
  }

  /**
   * The fields that each method uses, by their places, with those that the methods use that it
   * calls in turn: what a method comes to use is handed to its callers until nothing is new.
   */
  private static Map<String, BitSet> reached(TypeFact type) {
    Map<String, Integer> places = new HashMap<>();
    type.fields().stream()
        .filter(field -> !field.isStatic())
        .forEach(field -> places.put(field.name(), places.size()));
    Map<String, BitSet> reached = new HashMap<>();
    Map<String, List<String>> callers = new HashMap<>();
    for (MethodFact method : type.methods()) {
      BitSet fields = reached.computeIfAbsent(method.signature(), each -> new BitSet());
      method.fieldsOf(type.name()).stream()
          .filter(places::containsKey)
          .forEach(field -> fields.set(places.get(field)));
      method
          .callsOf(type.name())
          .forEach(
              called ->
                  callers
                      .computeIfAbsent(called, each -> new ArrayList<>())
                      .add(method.signature()));
    }
    Deque<String> open = new ArrayDeque<>(reached.keySet());
    while (!open.isEmpty()) {
      String called = open.pop();
      BitSet fields = reached.get(called);
      for (String caller :
          fields == null ? List.<String>of() : callers.getOrDefault(called, List.of())) {
        BitSet more = reached.get(caller);
        int before = more.cardinality();
        more.or(fields);
        if (more.cardinality() > before) {
          open.push(caller);
        }
      }
    }
    return reached;
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
