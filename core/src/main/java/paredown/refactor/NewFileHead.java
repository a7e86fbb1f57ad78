package paredown.refactor;

import java.util.ArrayList;
import java.util.List;
import paredown.edit.Copied;
import paredown.edit.Piece;
import paredown.edit.Written;
import paredown.text.SourceText;
import paredown.text.Token;
import paredown.text.TokenKind;

/** The head of a new file: the licence of its neighbour, and the package. */
final class NewFileHead {
  private final OwnerClass owner;
  private final String packageName;
  private final SourceText source;

  NewFileHead(NewClass type) {
    this.owner = type.owner();
    this.packageName = type.packageName();
    this.source = owner.source();
  }

  List<Piece> pieces() {
    List<Piece> pieces = new ArrayList<>();
    String end = source.lineEnd();
    var packageTree = owner.trees().unit().tree().getPackage();
    int until = packageTree != null ? owner.trees().start(packageTree) : licenceEnd();
    if (until > 0 && !source.slice(0, until).isBlank()) {
      pieces.add(new Copied(owner.trees().path(), 0, until, List.of()));
    }
    if (!packageName.isEmpty()) {
      pieces.add(Written.plain("package " + packageName + ";" + end + end));
    }
    return pieces;
  }

  /** Without a package, a comment is a licence where a gap parts it from what follows. */
  private int licenceEnd() {
    if (source.tokens().isEmpty()) {
      return 0;
    }
    Token first = source.tokens().get(0);
    int behind = source.nextLine(Math.max(0, first.end() - 1));
    boolean parted =
        first.kind() == TokenKind.BLOCK_COMMENT
            && behind < source.length()
            && source.lineText(source.line(behind)).isBlank();
    return parted ? source.nextLine(behind) : 0;
  }
}
