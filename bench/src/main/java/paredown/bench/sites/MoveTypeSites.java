package paredown.bench.sites;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.operation.movetype.MoveType;

/**
 * Every top-level type of a library and of its tests, to a new package and to one that is there;
 * and every nested one, out of the type around it.
 */
public final class MoveTypeSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    SourceIndex index = sources.index();
    List<DeclaredType> types = index.types().stream().filter(type -> type.depth() == 0).toList();
    List<String> packages =
        types.stream().map(type -> index.packageOf(type.file())).distinct().sorted().toList();
    List<Site> sites = new ArrayList<>();
    for (DeclaredType type : types) {
      String home = index.packageOf(type.file());
      sites.add(site("new", type, home.isEmpty() ? "apart" : home + ".apart"));
      String other = packages.get(random.nextInt(packages.size()));
      if (!other.equals(home)) {
        sites.add(site("there", type, other));
      }
    }
    for (DeclaredType type : types) {
      String home = index.packageOf(type.file());
      List<DeclaredType> near =
          types.stream()
              .filter(each -> index.packageOf(each.file()).equals(home) && !each.equals(type))
              .toList();
      if (!near.isEmpty()) {
        sites.add(site("into", type, near.get(random.nextInt(near.size())).name()));
      }
    }
    for (DeclaredType type : index.types()) {
      if (type.depth() == 1) {
        String home = index.packageOf(type.file());
        sites.add(site("out", type, random.nextInt(4) == 0 ? home + ".apart" : home));
      }
    }
    return sites;
  }

  private static Site site(String kind, DeclaredType type, String target) {
    return new Site(kind, new MoveType(type.name(), target, Set.of()), new TreeSet<>());
  }
}
