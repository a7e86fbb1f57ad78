package paredown.bench.sites;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.facts.TypeFact;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.Refused;
import paredown.refactor.operation.extractclass.ExtractClass;
import paredown.refactor.operation.inlineclass.InlineClass;

/**
 * Every class of a library, of which few do so little that a programmer would inline them; and
 * every class that could be extracted, which is extracted and inlined again.
 */
public final class InlineClassSites implements Sites {
  private static final Set<String> KINDS = Set.of("fields", "with methods", "without delegates");

  private final ExtractClassSites extractions = new ExtractClassSites();

  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<Site> sites = new ArrayList<>();
    for (TypeFact type : facts.types()) {
      if (type.kind() == TypeFact.Kind.CLASS && isMain.test(type.range().file())) {
        sites.add(
            new Site(
                "there",
                new InlineClass(type.name(), Optional.empty(), Set.of()),
                Set.of(),
                type.methods().stream().allMatch(each -> each.isConstructor())
                    && type.fields().isEmpty()));
      }
    }
    for (Site site : extractions.in(facts, sources, isMain, random)) {
      if (KINDS.contains(site.kind())) {
        ExtractClass there = (ExtractClass) site.operation();
        Refactoring back = new InlineClass(there.name(), Optional.of(there.type()), Set.of());
        sites.add(new Site("back", new RoundTrip(there, back), site.callers()));
      }
    }
    return sites;
  }

  @Override
  public Optional<Refactoring> instead(Refactoring operation, Refused refused) {
    return operation instanceof RoundTrip trip
        ? extractions.instead(trip.there(), refused).map(there -> new RoundTrip(there, trip.back()))
        : Optional.empty();
  }
}
