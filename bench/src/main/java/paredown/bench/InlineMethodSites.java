package paredown.bench;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.facts.Facts;
import paredown.program.Sources;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.operation.inlinemethod.InlineMethod;
import paredown.refactor.use.OwnerClass;

/** Short private and static methods, whose code their callers could say themselves. */
final class InlineMethodSites implements Sites {
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
        for (Tree member : tree.getMembers()) {
          if (member instanceof MethodTree method && isShort(method)) {
            add(type, new TreePath(getCurrentPath(), method));
          }
        }
      }
      return super.visitClass(tree, null);
    }

    /** Nobody would write a long method in several places. */
    private static boolean isShort(MethodTree method) {
      return method.getReturnType() != null
          && method.getBody() != null
          && method.getBody().getStatements().size() <= 5;
    }

    private void add(TypeElement type, TreePath path) {
      MethodTree tree = (MethodTree) path.getLeaf();
      Set<Modifier> modifiers = tree.getModifiers().getFlags();
      boolean bound = modifiers.contains(Modifier.PRIVATE) || modifiers.contains(Modifier.STATIC);
      OwnerClass owner = OwnerClass.of(trees.program(), type);
      owner.methods().stream()
          .filter(each -> bound && each.tree() == tree)
          .findFirst()
          .ifPresent(
              method ->
                  sites.add(
                      new Site(
                          modifiers.contains(Modifier.STATIC) ? "static" : "of an object",
                          new InlineMethod(
                              type.getQualifiedName().toString(),
                              OwnerClass.signature(method),
                              Optional.empty(),
                              false,
                              Set.of()),
                          new TreeSet<>())));
    }
  }
}
