package paredown.bench.sites;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.facts.Facts;
import paredown.program.Sources;
import paredown.refactor.operation.movefield.MoveField;
import paredown.refactor.use.OwnerClass;

/** Static fields, each to a class that is drawn among those of its package and some others. */
public final class MoveFieldSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<TypeElement> types = new ArrayList<>();
    List<String> fields = new ArrayList<>();
    MainCode.classes(sources, isMain, owner -> gather(owner, types, fields));
    List<Site> sites = new ArrayList<>();
    for (String field : fields) {
      String type = field.substring(0, field.indexOf('#'));
      String home = type.substring(0, Math.max(0, type.lastIndexOf('.')));
      List<String> near =
          types.stream()
              .map(each -> each.getQualifiedName().toString())
              .filter(each -> each.startsWith(home) || random.nextInt(10) == 0)
              .filter(each -> !each.equals(type))
              .toList();
      if (!near.isEmpty()) {
        String target = near.get(random.nextInt(near.size()));
        boolean same = target.startsWith(home + ".");
        sites.add(
            new Site(
                same ? "near" : "to another package",
                new MoveField(
                    type,
                    field.substring(field.indexOf('#') + 1),
                    target,
                    java.util.Optional.empty(),
                    Set.of()),
                new TreeSet<>()));
      }
    }
    return sites;
  }

  private static void gather(OwnerClass owner, List<TypeElement> types, List<String> fields) {
    if (owner.element().getKind() == ElementKind.ANNOTATION_TYPE) {
      return;
    }
    types.add(owner.element());
    owner.fields().stream()
        .filter(field -> field.is(Modifier.STATIC))
        .filter(field -> field.element().getKind() != ElementKind.ENUM_CONSTANT)
        .filter(field -> !field.name().startsWith("serialVersion"))
        .forEach(field -> fields.add(owner.element().getQualifiedName() + "#" + field.name()));
  }
}
