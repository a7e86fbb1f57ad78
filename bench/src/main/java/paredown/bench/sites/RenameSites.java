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
import paredown.refactor.operation.rename.Rename;
import paredown.refactor.operation.rename.RenameType;

/**
 * Every type, field, method and parameter of a library and of its tests, to a name that nothing has
 * and, for one in three, to the name of something else in the same type, or of another type.
 */
public final class RenameSites implements Sites {
  private static final String FRESH = "otherwiseNamed";

  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    Callers callers = new Callers(facts);
    List<Site> sites = new ArrayList<>();
    for (TypeFact type : facts.types()) {
      sites.add(type(type, facts, random));
      List<String> names = new ArrayList<>();
      type.fields().forEach(field -> names.add(field.name()));
      type.methods().forEach(method -> names.add(method.signature().replaceAll("\\(.*", "")));
      type.methods().stream()
          .flatMap(method -> method.parameters().stream())
          .forEach(parameter -> names.add(parameter.name()));
      for (FieldFact field : type.fields()) {
        add(sites, callers, type, field.name(), "", "field", names, random);
      }
      for (MethodFact method : type.methods()) {
        if (!method.isConstructor()) {
          add(sites, callers, type, method.signature(), "", "method", names, random);
          for (MethodFact.Parameter parameter : method.parameters()) {
            String word = parameter.name();
            add(sites, callers, type, method.signature(), word, "parameter", names, random);
          }
        }
      }
    }
    return sites;
  }

  private static Site type(TypeFact type, Facts facts, Random random) {
    boolean clash = random.nextInt(3) == 0;
    List<TypeFact> types = List.copyOf(facts.types());
    String other = types.get(random.nextInt(types.size())).name().replaceAll(".*[.$]", "");
    String name = !clash ? "OtherwiseNamed" : random.nextBoolean() ? other : "String";
    return new Site(
        "type" + (clash ? ", taken" : ""),
        new RenameType(type.name(), name, Set.of()),
        new TreeSet<>());
  }

  private static void add(
      List<Site> sites,
      Callers callers,
      TypeFact type,
      String member,
      String variable,
      String kind,
      List<String> names,
      Random random) {
    boolean clash = random.nextInt(3) == 0;
    String name = clash ? names.get(random.nextInt(names.size())) : FRESH;
    Rename rename = new Rename(type.name(), member, variable, name, false, Set.of());
    sites.add(
        new Site(
            kind + (clash ? ", taken" : ""),
            rename,
            variable.isEmpty() ? callers.of(type, member) : new TreeSet<>()));
  }
}
