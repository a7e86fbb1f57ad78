package paredown.bench.sites;

import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.program.Sources;
import paredown.refactor.operation.order.OrderMembers;

/** Every type of a library and of its tests. */
public final class OrderSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    return facts.types().stream()
        .map(type -> new Site("type", new OrderMembers(type.name()), Set.of()))
        .toList();
  }
}
