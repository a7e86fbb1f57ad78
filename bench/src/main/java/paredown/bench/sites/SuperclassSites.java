package paredown.bench.sites;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import paredown.facts.Facts;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.program.Sources;
import paredown.refactor.operation.superclass.ExtractSuperclass;

/**
 * Every method of a class: to the class above, where that is the library's, and to a new one; and
 * what siblings have of one signature.
 */
public final class SuperclassSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    Callers callers = new Callers(facts);
    Set<String> known = facts.types().stream().map(TypeFact::name).collect(Collectors.toSet());
    List<TypeFact> classes =
        facts.types().stream()
            .filter(type -> type.kind() == TypeFact.Kind.CLASS)
            .filter(type -> isMain.test(type.range().file()))
            .toList();
    List<Site> sites = new ArrayList<>();
    for (TypeFact type : classes) {
      for (MethodFact method : type.methods()) {
        if (method.isConstructor()) {
          continue;
        }
        boolean above = known.contains(type.superclass());
        boolean up = above && random.nextBoolean();
        sites.add(
            site(
                callers, List.of(type), method, up ? "up" : "between", up ? null : "ClassBetween"));
        for (TypeFact other : classes) {
          boolean sibling =
              other.name().compareTo(type.name()) > 0
                  && other.superclass().equals(type.superclass())
                  && isAlike(other.method(method.signature()), method);
          if (sibling && above) {
            sites.add(site(callers, List.of(type, other), method, "siblings", null));
          }
        }
      }
    }
    return sites;
  }

  private static boolean isAlike(Optional<MethodFact> other, MethodFact method) {
    return other.isPresent() && wording(other.get()).equals(wording(method));
  }

  private static List<Long> wording(MethodFact method) {
    return method.body().spans().stream().map(span -> span.wording().hash()).toList();
  }

  private static Site site(
      Callers callers, List<TypeFact> types, MethodFact method, String kind, String name) {
    return new Site(
        kind,
        new ExtractSuperclass(
            types.stream().map(TypeFact::name).toList(),
            List.of(method.signature()),
            List.of(),
            Optional.ofNullable(name),
            Set.of()),
        new TreeSet<>(callers.of(types.get(0), method.signature())));
  }
}
