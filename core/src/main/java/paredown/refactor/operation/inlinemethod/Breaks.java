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
import java.util.stream.Stream;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.code.Returns;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.flow.Jumps;
import paredown.text.Token;

/**
 * A loop or switch that a method returned from: where it did, a break leaves it, by a label where
 * another loop or switch is between.
 */
final class Breaks {
  private static final String PROOF = "behind it nothing is left to do";

  private final SiteCode code;
  private final Ending ending;
  private final TreePath around;
  private final UnitTrees trees;
  private final String unit;
  private String label = "";

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

  /** Whether a break leads out of it wherever it returned, be it one that names it. */
  boolean areWhole() {
    return Returns.in(around).stream()
        .allMatch(
            each ->
                within(each)
                    .noneMatch(
                        tree -> tree instanceof TryTree attempt && !ending.canBeTried(attempt)));
  }

  /** What stands between a return and what it leaves. */
  private Stream<Tree> within(TreePath end) {
    return Stream.iterate(
            end.getParentPath(), at -> at.getLeaf() != around.getLeaf(), TreePath::getParentPath)
        .map(TreePath::getLeaf);
  }

  /** Whether a plain break would leave something else. */
  private boolean isDeep(TreePath end) {
    return within(end).anyMatch(tree -> Jumps.isLoop(tree) || tree instanceof SwitchTree);
  }

  /** Its code with breaks. */
  List<Piece> pieces(String indent) {
    int start = trees.start(around.getLeaf());
    int end = trees.end(around.getLeaf());
    Indent moved = new Indent(trees.source().indentAt(start), indent);
    List<TreePath> returns = Returns.in(around);
    List<Piece> pieces = new ArrayList<>();
    if (returns.stream().anyMatch(this::isDeep)) {
      label = code.freeLabel(Jumps.isLoop(around.getLeaf()) ? "loop" : "choice");
      pieces.add(Written.plain(label + ":" + code.source().lineEnd() + indent));
    }
    List<Replacement> ends = returns.stream().map(each -> end(each, moved)).toList();
    pieces.add(code.range(start, end, moved, ends));
    return pieces;
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
    pieces.add(Written.plain(isDeep(path) ? "break " + label + ";" : "break;"));
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
