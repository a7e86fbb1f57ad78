package paredown.refactor.code;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import paredown.UnusableRequest;
import paredown.text.SourceText;

/**
 * A part is what a method is made of: statements that follow each other in one block, or one
 * expression.
 *
 * @param trees the statements, or the one expression
 * @param start where it begins, with a comment in front
 * @param end behind its last sign
 */
public record Part(List<TreePath> trees, boolean isExpression, int start, int end) {

  public TreePath first() {
    return trees.get(0);
  }

  public boolean holds(int offset) {
    return start <= offset && offset < end;
  }

  /**
   * The part that a range of a file is.
   *
   * @param byColumns whether columns gave it; the last one may stand behind the part then, too, as
   *     many programs count
   * @throws UnusableRequest where it is none; says what would be one
   */
  static Part of(UnitTrees unit, int[] range, boolean byColumns) {
    Search search = new Search(unit, range, byColumns);
    search.scan(unit.unit().tree(), null);
    if (search.found == null && byColumns) {
      Search shorter = new Search(unit, new int[] {range[0], range[1] - 1}, true);
      shorter.scan(unit.unit().tree(), null);
      search.found = shorter.found;
    }
    if (search.found == null) {
      throw new UnusableRequest(
          "%s of %s %s neither whole statements of one block nor a whole expression."
              .formatted(
                  lines(unit.source(), range),
                  unit.path(),
                  isOneLine(unit.source(), range) ? "is" : "are"),
          search.advice());
    }
    return search.found;
  }

  private static boolean isOneLine(SourceText source, int[] range) {
    return source.line(range[0]) == source.line(range[1] - 1);
  }

  private static String lines(SourceText source, int[] range) {
    return isOneLine(source, range)
        ? "What stands in line " + source.line(range[0])
        : "Lines %d to %d".formatted(source.line(range[0]), source.line(range[1] - 1));
  }

  private static final class Search extends TreePathScanner<Void, Void> {
    private final UnitTrees unit;
    private final SourceText source;
    private final int[] range;
    private final boolean byColumns;
    private final int start;
    private final int end;
    private Part found;
    private int[] nearest;
    private Tree around;

    Search(UnitTrees unit, int[] range, boolean byColumns) {
      this.unit = unit;
      this.byColumns = byColumns;
      this.source = unit.source();
      this.range = range;
      var first = source.codeTokenFrom(range[0]);
      this.start = first == null ? range[0] : first.start();
      int last = source.tokenAt(range[1]) - 1;
      while (last > 0 && source.tokens().get(last).kind().isComment()) {
        last--;
      }
      this.end = last < 0 ? range[1] : source.tokens().get(last).end();
    }

    @Override
    public Void scan(Tree tree, Void unused) {
      boolean expression =
          tree instanceof ExpressionTree && unit.start(tree) == start && unit.end(tree) == end;
      if (expression && found == null) {
        found = expression(new TreePath(getCurrentPath(), tree));
      }
      if (byColumns && tree instanceof ExpressionTree && isAround(tree)) {
        around = tree;
      }
      return super.scan(tree, null);
    }

    private boolean isAround(Tree tree) {
      return 0 <= unit.start(tree) && unit.start(tree) <= start && unit.end(tree) >= end;
    }

    /** An expression that is a statement without its semicolon is that statement. */
    private Part expression(TreePath path) {
      TreePath around = path.getParentPath();
      return around.getLeaf() instanceof ExpressionStatementTree
          ? new Part(List.of(around), false, range[0], unit.end(around.getLeaf()))
          : new Part(List.of(path), true, start, end);
    }

    @Override
    public Void visitBlock(BlockTree tree, Void unused) {
      statements(tree.getStatements());
      return super.visitBlock(tree, null);
    }

    @Override
    public Void visitCase(CaseTree tree, Void unused) {
      if (tree.getStatements() != null) {
        statements(tree.getStatements());
      }
      return super.visitCase(tree, null);
    }

    private void statements(List<? extends StatementTree> all) {
      List<TreePath> within = new ArrayList<>();
      boolean begins = false;
      boolean ends = false;
      int near = Integer.MAX_VALUE;
      int far = -1;
      for (StatementTree each : all) {
        int from = unit.start(each);
        int to = unit.end(each);
        if (from < 0 || to < 0 || each instanceof ClassTree && to <= start) {
          continue;
        }
        begins |= from == start;
        ends |= to == end;
        if (from < end && to > start) {
          within.add(new TreePath(getCurrentPath(), each));
          near = Math.min(near, from);
          far = Math.max(far, to);
        }
      }
      if (begins && ends && near == start && far == end) {
        found = new Part(within, false, range[0], Math.max(end, range[1]));
      } else if (!within.isEmpty() && (nearest == null || near <= start && far >= end)) {
        // The innermost block that holds the range comes last.
        nearest = new int[] {near, far};
      }
    }

    private String advice() {
      List<String> places = new ArrayList<>();
      if (around != null) {
        int last = unit.end(around) - 1;
        places.add(
            "%s:%d:%d-%d:%d"
                .formatted(
                    source.path(),
                    source.line(unit.start(around)),
                    source.column(unit.start(around)),
                    source.line(last),
                    source.column(last)));
      }
      if (nearest != null) {
        int first = source.line(nearest[0]);
        int last = source.line(nearest[1] - 1);
        places.add(source.path() + ":" + first + (first == last ? "" : "-" + last));
      }
      return places.isEmpty()
          ? "Give lines within the body of a method."
          : "%s would do: %s."
              .formatted(places.size() == 1 ? "This" : "These", String.join(", ", places));
    }
  }
}
