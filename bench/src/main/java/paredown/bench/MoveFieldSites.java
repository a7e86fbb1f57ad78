package paredown.bench;

import com.sun.source.tree.ClassTree;
import com.sun.source.util.TreePathScanner;
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
import paredown.refactor.code.UnitTrees;
import paredown.refactor.operation.movefield.MoveField;
import paredown.refactor.use.OwnerClass;

/** Static fields, each to a class that is drawn among those of its package and some others. */
final class MoveFieldSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<TypeElement> types = new ArrayList<>();
    List<String> fields = new ArrayList<>();
    MainCode.of(
        sources, isMain, trees -> new Scan(trees, types, fields).scan(trees.unit().tree(), null));
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
                new MoveField(type, field.substring(field.indexOf('#') + 1), target, Set.of()),
                new TreeSet<>()));
      }
    }
    return sites;
  }

  private static final class Scan extends TreePathScanner<Void, Void> {
    private final UnitTrees trees;
    private final List<TypeElement> types;
    private final List<String> fields;

    Scan(UnitTrees trees, List<TypeElement> types, List<String> fields) {
      this.trees = trees;
      this.types = types;
      this.fields = fields;
    }

    @Override
    public Void visitClass(ClassTree tree, Void unused) {
      if (trees.element(getCurrentPath()) instanceof TypeElement type
          && !type.getQualifiedName().toString().isEmpty()
          && type.getKind() != ElementKind.ANNOTATION_TYPE) {
        types.add(type);
        OwnerClass.of(trees.program(), type).fields().stream()
            .filter(field -> field.is(Modifier.STATIC))
            .filter(field -> field.element().getKind() != ElementKind.ENUM_CONSTANT)
            .filter(field -> !field.name().startsWith("serialVersion"))
            .forEach(field -> fields.add(type.getQualifiedName() + "#" + field.name()));
      }
      return super.visitClass(tree, null);
    }
  }
}
