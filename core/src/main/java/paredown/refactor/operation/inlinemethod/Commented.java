package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import paredown.edit.Indent;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.refactor.code.Blocks;
import paredown.refactor.code.UnitTrees;
import paredown.text.SourceText;

/** The statements of a method with the comments around them, as they stand at a call. */
final class Commented {
  private final SiteCode code;
  private final UnitTrees trees;
  private final SourceText source;

  Commented(SiteCode code) {
    this.code = code;
    this.trees = code.body().trees();
    this.source = trees.source();
  }

  /** A line end, and an empty line where one stands in front of a statement. */
  Piece between(TreePath statement, String indent) {
    int start = lead(statement);
    int line = source.line(start);
    boolean apart = line > 1 && source.lineText(line - 1).isBlank();
    String end = code.source().lineEnd();
    return Written.plain((apart ? end : "") + end + indent);
  }

  /** Code around a statement, as it is indented at the call. */
  Piece range(int start, int end, TreePath statement, String indent) {
    String from = source.indentAt(trees.start(statement.getLeaf()));
    int last = start + source.slice(start, end).stripTrailing().length();
    return code.range(start, last, new Indent(from, indent));
  }

  /** The comments in front of a statement, and a new line behind them. */
  List<Piece> comment(TreePath statement, String indent) {
    int start = trees.start(statement.getLeaf());
    List<Piece> pieces = new ArrayList<>(comment(lead(statement), start, statement, indent));
    code.newLine(pieces, indent);
    return pieces;
  }

  /** The comments in a range, without the white space around them. */
  List<Piece> comment(int start, int end, TreePath statement, String indent) {
    String text = source.slice(start, end);
    if (text.isBlank()) {
      return List.of();
    }
    int from = start + text.length() - text.stripLeading().length();
    return List.of(range(from, end, statement, indent));
  }

  /** Where a statement begins, with the comments in front of it. */
  int lead(TreePath statement) {
    Tree around = statement.getParentPath().getLeaf();
    int index = Blocks.statements(around).indexOf(statement.getLeaf());
    if (index < 0) {
      return trees.start(statement.getLeaf());
    }
    int from =
        index == 0
            ? trees.start(around) + 1
            : behind(
                new TreePath(statement.getParentPath(), Blocks.statements(around).get(index - 1)));
    return source.tokens().get(source.tokenAt(from)).start();
  }

  /** Where a statement ends, with a comment behind it in its line. */
  int behind(TreePath statement) {
    return code.body().end(statement.getLeaf());
  }
}
