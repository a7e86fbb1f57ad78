package paredown.bench.sites;

import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import javax.lang.model.element.Modifier;
import paredown.facts.Facts;
import paredown.program.Sources;
import paredown.refactor.code.Constants;
import paredown.refactor.operation.inlinefield.InlineField;
import paredown.refactor.use.OwnerClass;

/** Final fields that are declared with a value that the compiler knows. */
public final class InlineFieldSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<Site> sites = new ArrayList<>();
    MainCode.classes(
        sources,
        isMain,
        owner ->
            owner.fields().stream()
                .filter(field -> field.is(Modifier.FINAL))
                .filter(field -> field.tree().getInitializer() != null)
                .filter(field -> isKnown(owner, field))
                .forEach(field -> sites.add(site(owner, field))));
    return sites;
  }

  private static boolean isKnown(OwnerClass owner, OwnerClass.Field field) {
    TreePath value = new TreePath(field.path(), field.tree().getInitializer());
    return Constants.unknown(owner.trees(), value).isEmpty();
  }

  private static Site site(OwnerClass owner, OwnerClass.Field field) {
    String type = owner.element().getQualifiedName().toString();
    return new Site(
        field.is(Modifier.STATIC) ? "constant" : "field",
        new InlineField(type, field.name(), false, Set.of()),
        new TreeSet<>());
  }
}
