package paredown.refactor.name;

import com.sun.source.tree.ImportTree;
import com.sun.source.tree.Tree;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.refactor.code.UnitTrees;
import paredown.text.Token;
import paredown.text.TokenKind;

/**
 * An import that a file gets, in its place among those that it has.
 *
 * @param name the qualified name of the type
 * @param spelled writes that name
 */
public record NewImport(String name, Consumer<Written.Text> spelled) {

  /** The edit for the only import that a file gets. */
  public Replacement in(UnitTrees trees) {
    return in(trees, true, true);
  }

  /** The edit for one of those that a file gets: whether it is the first, or the last of them. */
  public Replacement in(UnitTrees trees, boolean first, boolean last) {
    String end = trees.source().lineEnd();
    List<? extends ImportTree> present =
        trees.unit().tree().getImports().stream().filter(tree -> !tree.isStatic()).toList();
    Optional<? extends ImportTree> next =
        present.stream()
            .filter(tree -> tree.getQualifiedIdentifier().toString().compareTo(name) > 0)
            .findFirst();
    if (present.isEmpty()) {
      return alone(trees, first, last);
    }
    int before = next.isPresent() ? present.indexOf(next.get()) : present.size();
    boolean begins = before == 0 || !isOfGroup(present.get(before - 1));
    if (next.isPresent() && (begins || isOfGroup(next.get()))) {
      return at(trees.start(next.get()), "", end);
    }
    int behind = trees.source().nextLine(trees.end(present.get(before - 1)) - 1);
    boolean ended = "\r\n".indexOf(trees.source().text().charAt(behind - 1)) >= 0;
    return at(behind, ended ? "" : end, ended ? end : "");
  }

  /** Whether an import begins as the new one does, so that the two stand together. */
  private boolean isOfGroup(ImportTree other) {
    return group(other.getQualifiedIdentifier().toString()).equals(group(name));
  }

  private static String group(String type) {
    return type.substring(0, Math.max(0, type.indexOf('.')));
  }

  private Replacement at(int place, String before, String behind) {
    Written.Text text = Written.text(before + "import ");
    spelled.accept(text);
    return Replacement.of(place, place, text.text(";" + behind).done());
  }

  /** An import in a file that has none, below its package. */
  private Replacement alone(UnitTrees trees, boolean first, boolean last) {
    String end = trees.source().lineEnd();
    Tree packageTree = trees.unit().tree().getPackageName();
    if (packageTree == null) {
      return at(top(trees), "", last ? end + end : end);
    }
    int below = trees.source().codeTokenFrom(trees.end(packageTree)).start();
    return at(trees.source().nextLine(below), first ? end : "", end);
  }

  /** Where the first declaration of a file begins, with the comment that documents it. */
  private static int top(UnitTrees trees) {
    Token code = trees.source().codeTokenFrom(0);
    int index = trees.source().tokenAt(code.start());
    Token before = index == 0 ? code : trees.source().tokens().get(index - 1);
    return before.kind() == TokenKind.DOC_COMMENT ? before.start() : code.start();
  }
}
