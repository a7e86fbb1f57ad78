package paredown.program;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/** All uses in the files of a program, by their places. */
public final class Uses {
  private final Map<String, NavigableMap<Integer, Map<UseKind, Use>>> byFile = new HashMap<>();
  private int count;

  void add(Use use) {
    Map<UseKind, Use> here =
        byFile
            .computeIfAbsent(use.file(), file -> new TreeMap<>())
            .computeIfAbsent(use.offset(), offset -> new TreeMap<>());
    Use present = here.get(use.kind());
    if (present == null) {
      here.put(use.kind(), use);
      count++;
    } else {
      // A few nodes share a position: together they are one use with all their meanings.
      Set<String> all = new TreeSet<>(List.of(present.key().split(" & ")));
      all.addAll(List.of(use.key().split(" & ")));
      here.put(use.kind(), new Use(use.place(), String.join(" & ", all), present.type()));
    }
  }

  public int count() {
    return count;
  }

  public Optional<Use> at(String file, int offset, UseKind kind) {
    return Optional.ofNullable(byFile.get(file))
        .map(uses -> uses.get(offset))
        .map(uses -> uses.get(kind));
  }

  /** The uses within a range of a file, in order. */
  public List<Use> within(String file, int start, int end) {
    NavigableMap<Integer, Map<UseKind, Use>> uses = byFile.get(file);
    return uses == null || start >= end
        ? List.of()
        : uses.subMap(start, true, end, false).values().stream()
            .map(Map::values)
            .flatMap(Collection::stream)
            .toList();
  }

  public Stream<Use> in(String file) {
    return byFile.getOrDefault(file, new TreeMap<>()).values().stream()
        .map(Map::values)
        .flatMap(Collection::stream);
  }

  public Stream<Use> all() {
    return byFile.keySet().stream().sorted().flatMap(this::in);
  }

  /** The names that mean a symbol, in the order of files and places. */
  public List<Use> of(String key) {
    return all().filter(use -> use.key().equals(key)).toList();
  }
}
