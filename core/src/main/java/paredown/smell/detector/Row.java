package paredown.smell.detector;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import paredown.facts.Span;
import paredown.smell.Owned;

/**
 * A row is the statements that follow each other in one block of a method.
 *
 * @param statements how many statements each of them is, with those within
 */
record Row(Owned owned, List<Span> spans, List<Integer> statements) {
  /** Each row is itself only; what it consists of would take long to compare. */
  @Override
  public boolean equals(Object other) {
    return this == other;
  }

  @Override
  public int hashCode() {
    return System.identityHashCode(this);
  }

  /** The blocks of a method. */
  static List<Row> of(Owned owned) {
    Map<String, Row> open = new LinkedHashMap<>();
    List<Span> all = owned.method().body().spans();
    for (int i = 0; i < all.size(); i++) {
      Span span = all.get(i);
      int within = 1;
      while (i + within < all.size() && all.get(i + within).depth() > span.depth()) {
        within++;
      }
      Row row =
          open.computeIfAbsent(
              span.block() + ":" + span.depth(),
              each -> new Row(owned, new ArrayList<>(), new ArrayList<>()));
      row.spans().add(span);
      row.statements().add(within);
    }
    return List.copyOf(open.values());
  }
}
