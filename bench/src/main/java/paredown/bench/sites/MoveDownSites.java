package paredown.bench.sites;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.program.Sources;
import paredown.refactor.operation.movedown.MoveDown;

/** Every method and field of a class that others of the library extend, to each of those. */
public final class MoveDownSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    Callers callers = new Callers(facts);
    List<Site> sites = new ArrayList<>();
    for (TypeFact child : facts.types()) {
      facts
          .type(child.superclass())
          .filter(parent -> child.kind() == TypeFact.Kind.CLASS)
          .ifPresent(parent -> add(sites, callers, parent, child));
    }
    return sites;
  }

  private static void add(List<Site> sites, Callers callers, TypeFact parent, TypeFact child) {
    for (MethodFact method : parent.methods()) {
      if (!method.isConstructor()) {
        sites.add(site("method", callers, parent, method.signature(), child));
      }
    }
    for (FieldFact field : parent.instanceFields()) {
      sites.add(site("field", callers, parent, field.name(), child));
    }
  }

  private static Site site(
      String kind, Callers callers, TypeFact parent, String member, TypeFact child) {
    return new Site(
        kind,
        new MoveDown(parent.name(), List.of(member), child.name(), Set.of()),
        new TreeSet<>(callers.of(parent, member)));
  }
}
