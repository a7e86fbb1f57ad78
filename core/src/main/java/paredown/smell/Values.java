package paredown.smell;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import paredown.facts.FieldFact;
import paredown.facts.TypeFact;

/** Which types' variables hold values, and which hold objects that only work together. */
public final class Values {
  private final Map<String, List<TypeFact>> bySimpleName;
  private final Map<String, TypeFact> types;

  private Values(Map<String, TypeFact> types) {
    this.types = types;
    this.bySimpleName =
        types.values().stream().collect(Collectors.groupingBy(TypeFact::simpleName));
  }

  public static Values of(Grounds grounds) {
    return new Values(grounds.types());
  }

  /** Whether a type, as it is written, is no class or interface of the project's own. */
  public boolean isValue(String written) {
    String plain = written.replaceAll("<.*", "").replace("...", "").replace("[]", "");
    return bySimpleName
        .getOrDefault(plain.substring(plain.lastIndexOf('.') + 1), List.of())
        .stream()
        .noneMatch(type -> type.isClass() || type.kind() == TypeFact.Kind.INTERFACE);
  }

  /** How many of these names a class, and those above it, have no field for. */
  public long missing(TypeFact type, Set<String> names) {
    Set<String> held = new HashSet<>();
    type.fields().stream().map(FieldFact::name).forEach(held::add);
    for (String above : type.supertypes()) {
      if (types.containsKey(above)) {
        types.get(above).fields().stream().map(FieldFact::name).forEach(held::add);
      }
    }
    return names.stream().filter(name -> !held.contains(name)).count();
  }
}
