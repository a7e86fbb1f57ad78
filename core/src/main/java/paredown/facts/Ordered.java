package paredown.facts;

import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.Set;

/**
 * Sets that keep their order. Those of the platform that cannot be changed have another in every
 * run, and what looks at them would not find the same each time.
 */
final class Ordered {
  private Ordered() {}

  static <T> Set<T> copy(Collection<T> elements) {
    return elements.isEmpty()
        ? Set.of()
        : Collections.unmodifiableSet(new LinkedHashSet<>(elements));
  }
}
