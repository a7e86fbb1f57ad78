package paredown.bench.sites;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.function.Predicate;
import paredown.facts.Facts;
import paredown.program.Sources;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.refactor.operation.extractvariable.ExtractVariable;
import paredown.text.SourceText;

/** Values within methods that could have a name; for constants, literals with more than a sign. */
public record ExtractVariableSites(ExtractVariable.Kind of) implements Sites {
  @Override
  public List<Site> in(Facts facts, Sources sources, Predicate<String> isMain, Random random) {
    List<Site> sites = new ArrayList<>();
    MainCode.of(
        sources,
        isMain,
        trees -> new Scan(trees, of, random, sites).scan(trees.unit().tree(), null));
    return sites;
  }

  private static final class Scan extends TreePathScanner<Void, Void> {
    private final UnitTrees trees;
    private final ExtractVariable.Kind of;
    private final Random random;
    private final List<Site> sites;
    private boolean within;

    Scan(UnitTrees trees, ExtractVariable.Kind of, Random random, List<Site> sites) {
      this.trees = trees;
      this.of = of;
      this.random = random;
      this.sites = sites;
    }

    @Override
    public Void visitMethod(com.sun.source.tree.MethodTree tree, Void unused) {
      boolean before = within;
      within = true;
      scan(tree.getBody(), null);
      within = before;
      return null;
    }

    @Override
    public Void scan(Tree tree, Void unused) {
      boolean wanted =
          of == ExtractVariable.Kind.CONSTANT
              ? tree instanceof LiteralTree literal && isTelling(literal)
              : tree instanceof BinaryTree
                  || tree instanceof MethodInvocationTree
                  || tree instanceof NewClassTree
                  || tree instanceof ConditionalExpressionTree;
      if (within && wanted && random.nextInt(6) == 0) {
        add(new TreePath(getCurrentPath(), tree));
      }
      boolean variable =
          of == ExtractVariable.Kind.FIELD
              && tree instanceof VariableTree
              && getCurrentPath().getLeaf() instanceof BlockTree;
      if (within && variable && random.nextInt(3) == 0) {
        addLine((VariableTree) tree);
      }
      return super.scan(tree, null);
    }

    private void addLine(VariableTree tree) {
      SourceText source = trees.source();
      sites.add(
          new Site(
              "local",
              new ExtractVariable(
                  of,
                  "%s:%d-%d"
                      .formatted(
                          source.path(),
                          source.line(trees.start(tree)),
                          source.line(trees.end(tree) - 1)),
                  "partNamed",
                  false),
              new TreeSet<>()));
    }

    private static boolean isTelling(LiteralTree literal) {
      return literal.getValue() != null
          && literal.getValue().toString().length() > 1
          && !(literal.getValue() instanceof Boolean);
    }

    private void add(TreePath path) {
      Tree tree = path.getLeaf();
      if (trees.start(tree) < 0
          || !(tree instanceof ExpressionTree)
          || !Values.isOne(trees, path)) {
        return;
      }
      SourceText source = trees.source();
      int end = trees.end(tree) - 1;
      String place =
          "%s:%d:%d-%d:%d"
              .formatted(
                  source.path(),
                  source.line(trees.start(tree)),
                  source.column(trees.start(tree)),
                  source.line(end),
                  source.column(end));
      sites.add(
          new Site(
              tree.getKind().name().toLowerCase(),
              new ExtractVariable(of, place, "partNamed", false),
              new TreeSet<>()));
    }
  }
}
