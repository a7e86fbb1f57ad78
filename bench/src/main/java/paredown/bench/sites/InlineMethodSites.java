package paredown.bench.sites;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import javax.lang.model.element.Modifier;
import paredown.facts.Facts;
import paredown.program.Sources;
import paredown.refactor.operation.inlinemethod.InlineMethod;
import paredown.refactor.use.OwnerClass;

/** Short private and static methods, whose code their callers could say themselves. */
public final class InlineMethodSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<Site> sites = new ArrayList<>();
    MainCode.classes(
        sources,
        isMain,
        owner ->
            owner.methods().stream()
                .filter(method -> method.is(Modifier.PRIVATE) || method.is(Modifier.STATIC))
                .filter(InlineMethodSites::isShort)
                .forEach(method -> sites.add(site(owner, method))));
    return sites;
  }

  /** Nobody would write a long method in several places. */
  private static boolean isShort(OwnerClass.Method method) {
    return method.tree().getReturnType() != null
        && method.tree().getBody() != null
        && method.tree().getBody().getStatements().size() <= 5;
  }

  private static Site site(OwnerClass owner, OwnerClass.Method method) {
    return new Site(
        method.is(Modifier.STATIC) ? "static" : "of an object",
        new InlineMethod(
            owner.element().getQualifiedName().toString(),
            OwnerClass.signature(method),
            Optional.empty(),
            false,
            Set.of()),
        new TreeSet<>());
  }
}
