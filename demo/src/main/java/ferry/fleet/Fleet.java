package ferry.fleet;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** All vessels of the line, by name. */
public final class Fleet {
  private final Map<String, Vessel> vessels = new LinkedHashMap<>();

  public void add(Vessel vessel) {
    vessels.put(vessel.name(), vessel);
  }

  public Optional<Vessel> named(String name) {
    return Optional.ofNullable(vessels.get(name));
  }

  /** The smallest vessel that has room for so many passengers. */
  public Optional<Vessel> smallestFor(int passengers) {
    return vessels.values().stream()
        .filter(vessel -> vessel.places() >= passengers)
        .reduce((one, other) -> other.places() < one.places() ? other : one);
  }
}
