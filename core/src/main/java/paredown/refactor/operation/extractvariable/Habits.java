package paredown.refactor.operation.extractvariable;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreeScanner;
import javax.lang.model.element.Modifier;
import paredown.refactor.code.UnitTrees;

/**
 * Habits are how a file declares its local variables.
 *
 * @param isFinal whether most of them are final
 * @param isVar whether most of them say var
 * @param knowsVar whether its Java has that word
 */
record Habits(boolean isFinal, boolean isVar, boolean knowsVar) {
  private static final int VAR_SINCE = 10;

  static Habits of(UnitTrees trees) {
    int[] counts = new int[3];
    new TreeScanner<Void, Void>() {
      @Override
      public Void visitBlock(BlockTree tree, Void unused) {
        for (StatementTree each : tree.getStatements()) {
          if (each instanceof VariableTree variable && variable.getInitializer() != null) {
            counts[0]++;
            counts[1] += variable.getModifiers().getFlags().contains(Modifier.FINAL) ? 1 : 0;
            counts[2] += trees.isVar(variable) ? 1 : 0;
          }
        }
        return super.visitBlock(tree, null);
      }
    }.scan(trees.unit().tree(), null);
    return new Habits(
        counts[1] * 2 > counts[0], counts[2] * 2 > counts[0], trees.language() >= VAR_SINCE);
  }
}
