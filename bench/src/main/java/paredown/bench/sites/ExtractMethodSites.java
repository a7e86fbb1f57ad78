package paredown.bench.sites;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.program.Sources;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.text.SourceText;

/** Runs of statements of each block in a method, and expressions in it. */
public final class ExtractMethodSites implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<Site> sites = new ArrayList<>();
    MainCode.of(
        sources, isMain, trees -> new Scan(trees, random, sites).scan(trees.unit().tree(), null));
    return sites;
  }

  private static final class Scan extends TreePathScanner<Void, Void> {
    private final UnitTrees trees;
    private final Random random;
    private final List<Site> sites;
    private boolean within;

    Scan(UnitTrees trees, Random random, List<Site> sites) {
      this.trees = trees;
      this.random = random;
      this.sites = sites;
    }

    @Override
    public Void visitMethod(MethodTree tree, Void unused) {
      boolean before = within;
      within = true;
      super.visitMethod(tree, null);
      within = before;
      return null;
    }

    @Override
    public Void visitBlock(BlockTree tree, Void unused) {
      List<? extends StatementTree> all = tree.getStatements();
      if (within && all.size() > 1) {
        int first = random.nextInt(all.size());
        int last = first + random.nextInt(Math.min(4, all.size() - first));
        add("statements", trees.start(all.get(first)), trees.end(all.get(last)));
      }
      return super.visitBlock(tree, null);
    }

    @Override
    public Void visitBinary(BinaryTree tree, Void unused) {
      expression(tree);
      return super.visitBinary(tree, null);
    }

    @Override
    public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
      expression(tree);
      return super.visitMethodInvocation(tree, null);
    }

    private void expression(Tree tree) {
      if (within && random.nextInt(6) == 0) {
        add("expression", trees.start(tree), trees.end(tree));
      }
    }

    private void add(String kind, int start, int end) {
      if (start < 0 || end < 0) {
        return;
      }
      SourceText source = trees.source();
      String place =
          "%s:%d:%d-%d:%d"
              .formatted(
                  source.path(),
                  source.line(start),
                  source.column(start),
                  source.line(end - 1),
                  source.column(end - 1));
      sites.add(
          new Site(
              kind,
              new ExtractMethod(place, "partTakenOut").giving("PartsTakenOut"),
              new TreeSet<>()));
      for (Duplicates which : List.of(Duplicates.ALL, Duplicates.PROJECT)) {
        sites.add(
            new Site(
                which == Duplicates.ALL ? "duplicates" : "elsewhere",
                new ExtractMethod(place, "partTakenOut").with(which),
                new TreeSet<>()));
      }
    }
  }
}
