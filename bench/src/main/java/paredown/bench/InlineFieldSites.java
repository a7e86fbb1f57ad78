package paredown.bench;

import com.sun.source.tree.ClassTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.facts.Facts;
import paredown.program.Sources;
import paredown.refactor.code.Constants;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.operation.inlinefield.InlineField;
import paredown.refactor.use.OwnerClass;

/** Fields that are final or private and are declared with a value that the compiler knows. */
final class InlineFieldSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<Site> sites = new ArrayList<>();
    MainCode.of(sources, isMain, trees -> new Scan(trees, sites).scan(trees.unit().tree(), null));
    return sites;
  }

  private static final class Scan extends TreePathScanner<Void, Void> {
    private final UnitTrees trees;
    private final List<Site> sites;

    Scan(UnitTrees trees, List<Site> sites) {
      this.trees = trees;
      this.sites = sites;
    }

    @Override
    public Void visitClass(ClassTree tree, Void unused) {
      if (trees.element(getCurrentPath()) instanceof TypeElement type
          && !type.getQualifiedName().toString().isEmpty()) {
        OwnerClass.of(trees.program(), type).fields().stream()
            .filter(field -> field.is(Modifier.FINAL))
            .filter(field -> field.tree().getInitializer() != null)
            .filter(this::isKnown)
            .forEach(field -> add(type, field));
      }
      return super.visitClass(tree, null);
    }

    private boolean isKnown(OwnerClass.Field field) {
      TreePath value = new TreePath(field.path(), field.tree().getInitializer());
      return Constants.unknown(trees, value).isEmpty();
    }

    private void add(TypeElement type, OwnerClass.Field field) {
      String name = type.getQualifiedName().toString();
      sites.add(
          new Site(
              field.is(Modifier.STATIC) ? "constant" : "field",
              new InlineField(name, field.name(), false, Set.of()),
              new TreeSet<>()));
    }
  }
}
