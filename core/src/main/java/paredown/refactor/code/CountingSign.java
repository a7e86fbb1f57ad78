package paredown.refactor.code;

import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.Tree;
import paredown.text.Token;

/**
 * The operator of what counts on a variable: {@code +} of {@code count += 2} and {@code count++}.
 */
public final class CountingSign {
  private CountingSign() {}

  /** The operator of a step, or of an assignment that counts on. */
  public static String of(UnitTrees trees, Tree tree) {
    if (tree instanceof CompoundAssignmentTree count) {
      Token sign = trees.source().codeTokenFrom(trees.end(count.getVariable()));
      String all = trees.source().slice(sign.start(), trees.start(count.getExpression()));
      return all.substring(0, all.indexOf('='));
    }
    return tree.getKind() == Tree.Kind.PREFIX_INCREMENT
            || tree.getKind() == Tree.Kind.POSTFIX_INCREMENT
        ? "+"
        : "-";
  }
}
