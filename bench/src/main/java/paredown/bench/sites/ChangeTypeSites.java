package paredown.bench.sites;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.facts.FieldFact;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.program.Sources;
import paredown.refactor.operation.changetype.ChangeType;

/** Every field, and every method that gives something, as what could be in its place. */
public final class ChangeTypeSites implements Sites {
  private static final Map<String, List<String>> WIDER =
      Map.of(
          "byte", List.of("int"),
          "short", List.of("int", "long"),
          "char", List.of("int"),
          "int", List.of("long", "double"),
          "long", List.of("double"),
          "float", List.of("double"));

  private static final Map<String, List<String>> MADE =
      Map.of(
          "int", List.of("java.util.OptionalInt", "of", "getAsInt"),
          "long", List.of("java.time.Duration", "ofMillis", "toMillis"),
          "double", List.of("java.util.OptionalDouble", "of", "getAsDouble"),
          "String", List.of("java.lang.StringBuilder", "", "toString"));

  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<Site> sites = new ArrayList<>();
    for (TypeFact type : facts.types()) {
      for (FieldFact field : type.fields()) {
        sites.addAll(sites("field", type, field.name(), field.type()));
      }
      for (MethodFact method : type.methods()) {
        if (!method.isConstructor()) {
          sites.addAll(sites("method", type, method.signature(), method.result()));
        }
      }
    }
    return sites;
  }

  private static List<Site> sites(String kind, TypeFact type, String member, String held) {
    List<Site> sites = new ArrayList<>();
    String plain = held.replaceAll("<.*", "");
    List<String> wider =
        WIDER.getOrDefault(
            plain, plain.matches("(?:[\\w.]*\\.)?\\w*(?:List|Set|Map)") ? above(plain) : List.of());
    for (String to : wider) {
      sites.add(site(kind + " wider", new ChangeType(type.name(), member, to)));
    }
    List<String> made = MADE.get(plain);
    if (made != null) {
      sites.add(
          site(
              kind + " made",
              new ChangeType(
                  type.name(),
                  member,
                  made.get(0),
                  Optional.of(made.get(1)).filter(each -> !each.isEmpty()),
                  Optional.of(made.get(2)),
                  Set.of())));
    }
    return sites;
  }

  private static List<String> above(String type) {
    return type.endsWith("Map") ? List.of("Map") : List.of("Collection", "Iterable");
  }

  private static Site site(String kind, ChangeType change) {
    return new Site(kind, change, new TreeSet<>());
  }
}
