package paredown.measure;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import paredown.facts.Facts;
import paredown.facts.MethodFact;
import paredown.facts.MethodFact.MemberUse;
import paredown.facts.TypeFact;

/**
 * Clients are the classes of a project that use another one. What stands in the same file is no
 * client, and a nested class is counted as the top-level one around it.
 */
public final class Clients {
  private final Map<String, Set<String>> ofTypes = new HashMap<>();
  private final Map<String, Map<String, Set<String>>> atWork = new HashMap<>();

  /** Both together, for the few types that are used where a program begins. */
  private final Map<String, Map<String, Set<String>>> joined = new HashMap<>();

  private Clients() {}

  public static Clients of(Facts facts) {
    Clients clients = new Clients();
    Map<String, TypeFact> types = facts.byName();
    Map<String, Map<String, Set<String>>> atBeginning = new HashMap<>();
    for (TypeFact type : facts.types()) {
      String client = outermost(type, types);
      for (String mentioned : type.mentions()) {
        TypeFact other = types.get(mentioned);
        if (other != null && !other.sharesFileWith(type)) {
          clients.ofTypes.computeIfAbsent(mentioned, t -> new TreeSet<>()).add(client);
        }
      }
      uses(type).forEach(use -> add(clients.atWork, use, client, type, types));
      type.methods().stream()
          .filter(Clients::isBeginning)
          .flatMap(method -> method.uses().stream())
          .forEach(use -> add(atBeginning, use, client, type, types));
    }
    atBeginning.forEach(clients::join);
    return clients;
  }

  /** Of a type that programs begin with, all that is used at work or where they begin. */
  private void join(String type, Map<String, Set<String>> beginning) {
    Map<String, Set<String>> all = new HashMap<>();
    atWork
        .getOrDefault(type, Map.of())
        .forEach((member, users) -> all.put(member, new TreeSet<>(users)));
    beginning.forEach(
        (member, users) -> all.computeIfAbsent(member, each -> new TreeSet<>()).addAll(users));
    joined.put(type, all);
  }

  private static Stream<MemberUse> uses(TypeFact type) {
    return Stream.concat(
        type.initialising().uses().stream(),
        type.methods().stream()
            .filter(method -> !isBeginning(method))
            .flatMap(method -> method.uses().stream()));
  }

  /** Whether a program begins in a method, which puts together what has nothing else in common. */
  private static boolean isBeginning(MethodFact method) {
    return method.isStatic() && method.signature().equals("main(String[])");
  }

  private static void add(
      Map<String, Map<String, Set<String>>> members,
      MemberUse use,
      String client,
      TypeFact type,
      Map<String, TypeFact> types) {
    TypeFact other = types.get(use.type());
    if (other != null && !other.sharesFileWith(type)) {
      members
          .computeIfAbsent(use.type(), t -> new HashMap<>())
          .computeIfAbsent(use.member(), member -> new TreeSet<>())
          .add(client);
    }
  }

  private static String outermost(TypeFact type, Map<String, TypeFact> types) {
    TypeFact at = type;
    while (types.get(at.outer()) != null) {
      at = types.get(at.outer());
    }
    return at.name();
  }

  /** The classes whose text names a type, in order. */
  public Set<String> of(TypeFact type) {
    return ofTypes.getOrDefault(type.name(), Set.of());
  }

  /** The classes that use each member of a type, by the member's name or signature. */
  public Map<String, Set<String>> ofMembers(TypeFact type) {
    Map<String, Set<String>> all = joined.get(type.name());
    return all == null ? atWork(type) : all;
  }

  /** The same without what is used where a program begins. */
  public Map<String, Set<String>> atWork(TypeFact type) {
    return atWork.getOrDefault(type.name(), Map.of());
  }
}
