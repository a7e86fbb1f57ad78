package paredown.measure;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import paredown.facts.Access;
import paredown.facts.MethodFact;
import paredown.facts.MethodFact.MemberUse;
import paredown.facts.TypeFact;

/**
 * A data use is whose data some code uses: how many of one provider's, how many of its own class's.
 *
 * <p>Lanza and Marinescu, "Object-Oriented Metrics in Practice", 2006: access to foreign data, and
 * locality of attribute accesses. Only what is reached through a parameter, a field or a local
 * variable counts as data of another class.
 *
 * @param provider canonical name of the class whose data are used most; empty where there is none
 * @param data the provider's fields that are used
 * @param asked how many of them are read, and not only set
 * @param set how many of them are set, whether or not they are read as well
 * @param foreign how many fields of all other classes are used
 * @param own instance members of its own class that are used, fields by name, methods by signature
 * @param lines the provider's fields that each line uses
 */
public record DataUse(
    String provider,
    Set<String> data,
    int asked,
    int set,
    int foreign,
    Set<String> own,
    SortedMap<Integer, Set<String>> lines) {

  /** What a stretch of code in a type uses. */
  public static DataUse of(TypeFact type, List<Access> accesses, Map<String, TypeFact> types) {
    Map<String, Set<String>> byProvider = new TreeMap<>();
    Map<String, Set<String>> asked = new TreeMap<>();
    Map<String, Set<String>> set = new TreeMap<>();
    Set<String> own = new TreeSet<>();
    Set<String> made =
        accesses.stream()
            .filter(access -> access.use().kind() == MemberUse.Kind.CREATE)
            .map(access -> access.use().type())
            .collect(Collectors.toSet());
    for (Access access : accesses) {
      TypeFact other = types.get(access.use().type());
      if (other == null) {
        continue;
      }
      String field = ForeignData.field(other, access.use());
      if (!ForeignData.isForeign(type, other)) {
        if (isOwn(access, other)) {
          own.add(field.isEmpty() ? access.use().member() : field);
        }
      } else if (!field.isEmpty() && access.root().isVariable() && !made.contains(other.name())) {
        byProvider.computeIfAbsent(other.name(), t -> new TreeSet<>()).add(field);
        Map<String, Set<String>> way = sets(access, other) ? set : asked;
        way.computeIfAbsent(other.name(), t -> new TreeSet<>()).add(field);
      }
    }
    String provider =
        byProvider.keySet().stream()
            .reduce("", (a, b) -> a.isEmpty() || size(byProvider, b) > size(byProvider, a) ? b : a);
    int foreign = byProvider.values().stream().mapToInt(Set::size).sum();
    return new DataUse(
        provider,
        byProvider.getOrDefault(provider, Set.of()),
        asked.getOrDefault(provider, Set.of()).size(),
        set.getOrDefault(provider, Set.of()).size(),
        foreign,
        own,
        lines(provider, accesses, types));
  }

  private static boolean sets(Access access, TypeFact other) {
    return access.use().kind() == MemberUse.Kind.WRITE
        || other.method(access.use().member()).filter(MethodFact::isSetter).isPresent();
  }

  private static int size(Map<String, Set<String>> sets, String key) {
    return sets.get(key).size();
  }

  private static boolean isOwn(Access access, TypeFact type) {
    boolean constant = type.field(access.use().member()).filter(f -> f.isConstant()).isPresent();
    return access.use().kind() != MemberUse.Kind.CREATE
        && access.root().kind() != Access.Root.Kind.CLASS
        && !constant;
  }

  private static SortedMap<Integer, Set<String>> lines(
      String provider, List<Access> accesses, Map<String, TypeFact> types) {
    SortedMap<Integer, Set<String>> lines = new TreeMap<>();
    for (Access access : accesses) {
      TypeFact other = types.get(access.use().type());
      if (other != null && other.name().equals(provider)) {
        String field = ForeignData.field(other, access.use());
        if (!field.isEmpty()) {
          lines.computeIfAbsent(access.line(), line -> new TreeSet<>()).add(field);
        }
      }
    }
    return lines;
  }

  /** Whether most of the data are only set: whoever does that fills an object. */
  public boolean fills() {
    return asked * 2 < data.size();
  }

  /** Whether most of the data are set, though they may be looked at before. */
  public boolean sets() {
    return set * 2 > data.size();
  }

  /** Own members among all that are used, in whole percent; 100 where nothing is used. */
  public int ownPercent() {
    int all = own.size() + foreign;
    return all == 0 ? 100 : own.size() * 100 / all;
  }
}
