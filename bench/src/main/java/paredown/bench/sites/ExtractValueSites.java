package paredown.bench.sites;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.facts.FieldFact;
import paredown.facts.TypeFact;
import paredown.program.Sources;
import paredown.refactor.operation.value.ExtractValue;

/** Every field that objects have of their own: alone, and with what gives and takes it. */
public final class ExtractValueSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<Site> sites = new ArrayList<>();
    for (TypeFact type : facts.types()) {
      for (FieldFact field : type.instanceFields()) {
        sites.add(site("field", type, field, false));
        sites.add(site("accessors", type, field, true));
      }
    }
    return sites;
  }

  private static Site site(String kind, TypeFact type, FieldFact field, boolean accessors) {
    return new Site(
        kind,
        new ExtractValue(
            type.name(), field.name(), "FreshValue", Optional.empty(), accessors, Set.of()),
        new TreeSet<>());
  }
}
