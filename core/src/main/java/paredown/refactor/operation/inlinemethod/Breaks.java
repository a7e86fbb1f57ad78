package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.code.Returns;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.flow.Jumps;
import paredown.text.Token;

/** A loop or switch that a method returned from: where it did, a break leaves it. */
final class Breaks {
  private static final String PROOF = "behind it nothing is left to do";

  private final SiteCode code;
  private final Ending ending;
  private final TreePath around;
  private final UnitTrees trees;
  private final String unit;

  Breaks(SiteCode code, Ending ending, TreePath around) {
    this.unit = code.unit();
    this.code = code;
    this.ending = ending;
    this.around = around;
    this.trees = code.body().trees();
  }

  /** Whether a statement is one that a break can leave. */
  static boolean canLeave(TreePath statement) {
    return Jumps.isLoop(statement.getLeaf()) || statement.getLeaf() instanceof SwitchTree;
  }

  /** Whether a break leads out of it wherever it returned. */
  boolean areWhole() {
    return Returns.in(around).stream().allMatch(this::isLeft);
  }

  private boolean isLeft(TreePath end) {
    for (TreePath at = end.getParentPath();
        at.getLeaf() != around.getLeaf();
        at = at.getParentPath()) {
      Tree tree = at.getLeaf();
      boolean tried = !(tree instanceof TryTree attempt) || ending.canBeTried(attempt);
      if (Jumps.isLoop(tree) || tree instanceof SwitchTree || !tried) {
        return false;
      }
    }
    return true;
  }

  /** Its code with breaks. */
  List<Piece> pieces(String indent) {
    int start = trees.start(around.getLeaf());
    int end = trees.end(around.getLeaf());
    Indent moved = new Indent(trees.source().indentAt(start), indent);
    List<Replacement> ends = new ArrayList<>();
    for (TreePath each : Returns.in(around)) {
      ends.add(end(each, moved));
    }
    return List.of(code.range(start, end, moved, ends));
  }

  /** What stands where it returned: the value is kept, and a break leaves the rest. */
  private Replacement end(TreePath path, Indent moved) {
    ReturnTree tree = (ReturnTree) path.getLeaf();
    Tree branch = path.getParentPath().getLeaf();
    int start = trees.start(tree);
    boolean alone = tree.getExpression() == null || branch instanceof BlockTree || isCase(branch);
    String outer = moved(trees.start(branch), moved);
    if (alone) {
      boolean own = trees.source().startsLine(start);
      String inner = own ? moved(start, moved) : outer + unit;
      String line = code.source().lineEnd() + inner;
      return replaced(start, tree, left(path, inner, own ? line : " "));
    }
    Token last = trees.source().tokens().get(trees.source().tokenAt(start) - 1);
    boolean comment = last.kind().isComment();
    String end = code.source().lineEnd();
    List<Piece> pieces = new ArrayList<>();
    pieces.add(Written.plain((comment ? "{" : " {") + end + outer + unit));
    pieces.addAll(left(path, outer + unit, end + outer + unit));
    pieces.add(Written.plain(end + outer + "}"));
    return replaced(comment ? start : last.end(), tree, pieces);
  }

  private String moved(int offset, Indent moved) {
    String indent = trees.source().indentAt(offset);
    return indent.startsWith(moved.from())
        ? moved.to() + indent.substring(moved.from().length())
        : indent;
  }

  private static boolean isCase(Tree tree) {
    return tree instanceof CaseTree group && group.getStatements() != null;
  }

  private List<Piece> left(TreePath path, String indent, String between) {
    ReturnTree tree = (ReturnTree) path.getLeaf();
    List<Piece> pieces = new ArrayList<>();
    if (tree.getExpression() != null) {
      pieces.addAll(ending.at(new TreePath(path, tree.getExpression()), indent));
      pieces.add(Written.plain(pieces.isEmpty() ? "" : between));
    }
    pieces.add(Written.plain("break;"));
    return pieces;
  }

  /** What takes the place of a range of the method's code. */
  private Replacement replaced(int start, ReturnTree tree, List<Piece> pieces) {
    Replacement whole =
        Rewriting.of(trees, start, trees.end(tree), "a break leaves it", pieces, List.of());
    return new Replacement(
            whole.start(), whole.end(), whole.pieces(), code.moves() ? whole.dropped() : List.of())
        .proving(PROOF);
  }
}
