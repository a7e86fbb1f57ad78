package paredown.refactor.operation.inlinemethod;

import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.code.UnitTrees;
import paredown.text.SourceText;
import paredown.text.Token;

/** The braces that a branch gets whose one statement is the call. */
final class Braces {
  private final SiteCode code;
  private final TreePath own;
  private final String outer;
  private final String unit;

  Braces(SiteCode code, TreePath own) {
    this.code = code;
    this.own = own;
    UnitTrees trees = code.call().trees();
    this.outer = code.source().indentAt(trees.start(own.getParentPath().getLeaf()));
    this.unit = code.unit();
  }

  /** The indent of what stands within. */
  String indent() {
    return outer + unit;
  }

  /** Pieces in braces in the place of the statement. */
  Replacement around(List<Piece> statements) {
    UnitTrees trees = code.call().trees();
    SourceText source = code.source();
    int start = trees.start(own.getLeaf());
    Token last = source.tokens().get(source.tokenAt(start) - 1);
    boolean behind = !last.kind().isComment();
    List<Piece> pieces = new ArrayList<>();
    pieces.add(Written.plain((behind ? " {" : "{") + source.lineEnd() + indent()));
    pieces.addAll(statements);
    int end = trees.end(own.getLeaf());
    Token next = source.codeTokenFrom(end);
    boolean followed = source.spells(next, "else") && source.slice(end, next.start()).isBlank();
    pieces.add(Written.plain(source.lineEnd() + outer + (followed ? "} " : "}")));
    return code.replacement(behind ? last.end() : start, followed ? next.start() : end, pieces);
  }
}
