package paredown.bench.sites;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.function.Predicate;
import javax.lang.model.element.Element;
import paredown.facts.Facts;
import paredown.program.Sources;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;
import paredown.refactor.operation.inlinevariable.InlineVariable;

/** The local variables that are declared with the one value that they have. */
public final class InlineVariableSites implements Sites {
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
    public Void visitBlock(BlockTree tree, Void unused) {
      for (StatementTree each : tree.getStatements()) {
        boolean could =
            each instanceof VariableTree variable
                && variable.getInitializer() != null
                && isOneValue(new TreePath(getCurrentPath(), variable));
        if (could && each instanceof VariableTree variable) {
          int line = trees.source().line(trees.names().of(variable));
          sites.add(
              new Site("variable", new InlineVariable(trees.path() + ":" + line), new TreeSet<>()));
        }
      }
      return super.visitBlock(tree, null);
    }

    /** Nobody would inline what is set again, or a new object that is used more than once. */
    private boolean isOneValue(TreePath path) {
      Element variable = trees.element(path);
      TreePath block = path.getParentPath();
      int[] uses = {0};
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitIdentifier(IdentifierTree tree, Void unused) {
          uses[0] += variable.equals(trees.element(getCurrentPath())) ? 1 : 0;
          return null;
        }
      }.scan(block, null);
      boolean made = ((VariableTree) path.getLeaf()).getInitializer() instanceof NewClassTree;
      return !Writes.in(trees, block).contains(variable) && !(made && uses[0] > 1);
    }
  }
}
