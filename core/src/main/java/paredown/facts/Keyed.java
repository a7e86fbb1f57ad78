package paredown.facts;

import java.util.AbstractList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * A keyed list is an immutable list whose elements are also found by a key; the first of equals.
 */
final class Keyed<T> extends AbstractList<T> {
  /** Shorter lists are faster gone through. */
  private static final int SHORT = 16;

  private final List<T> elements;
  private final Function<T, String> key;
  private volatile Map<String, T> byKey;

  private Keyed(List<T> elements, Function<T, String> key) {
    this.elements = elements;
    this.key = key;
  }

  static <T> Keyed<T> of(List<T> elements, Function<T, String> key) {
    return new Keyed<>(List.copyOf(elements), key);
  }

  @Override
  public T get(int index) {
    return elements.get(index);
  }

  @Override
  public int size() {
    return elements.size();
  }

  Optional<T> find(String wanted) {
    if (elements.size() <= SHORT) {
      for (T each : elements) {
        if (key.apply(each).equals(wanted)) {
          return Optional.of(each);
        }
      }
      return Optional.empty();
    }
    if (byKey == null) {
      Map<String, T> found = new HashMap<>();
      elements.forEach(each -> found.putIfAbsent(key.apply(each), each));
      byKey = found;
    }
    return Optional.ofNullable(byKey.get(wanted));
  }
}
