package paredown.bench.sites;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.facts.TypeFact;
import paredown.program.Sources;
import paredown.refactor.operation.parameterfield.MoveParameter;

/**
 * Every parameter of the methods of a class: of all that have it, and, whoever their objects are,
 * with what a person would have to know.
 */
public final class MoveParameterSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<Site> sites = new ArrayList<>();
    for (TypeFact type : facts.types()) {
      if (type.kind() == TypeFact.Kind.CLASS) {
        Set<String> names = new TreeSet<>();
        type.methods().stream()
            .filter(method -> !method.isConstructor())
            .forEach(method -> method.parameters().forEach(each -> names.add(each.name())));
        names.forEach(
            name -> {
              sites.add(site("traced", type, name, false));
              sites.add(site("known", type, name, true));
            });
      }
    }
    return sites;
  }

  private static Site site(String kind, TypeFact type, String parameter, boolean known) {
    return new Site(
        kind,
        new MoveParameter(
            type.name(),
            Optional.empty(),
            parameter,
            Optional.of(parameter + "Kept"),
            known ? Set.copyOf(MoveParameter.acceptable()) : Set.of()),
        new TreeSet<>());
  }
}
