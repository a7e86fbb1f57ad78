package paredown.refactor.operation.movetype;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.TypeElement;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.plan.EditList;
import paredown.refactor.use.DocMentions;
import paredown.text.SourceText;

/**
 * The places of a file that name a type, each once: the compiler shows the type of variables that
 * are declared together with each of them, and what an anonymous class extends twice.
 */
abstract class NamingsOfType extends TreePathScanner<Void, Void> {
  final UnitTrees trees;
  private final TypeElement type;
  private final EditList edits;
  private final Set<Integer> seen = new HashSet<>();

  NamingsOfType(UnitTrees trees, TypeElement type, EditList edits) {
    this.trees = trees;
    this.type = type;
    this.edits = edits;
  }

  /** Its simple name stands alone there. */
  abstract void simple(TreePath path);

  /** Its name stands there behind its package, or the type around it. */
  abstract void qualified(TreePath path, MemberSelectTree tree);

  /**
   * What stands in front of its simple name in a comment.
   *
   * @param before what did so until now; empty where nothing did
   */
  abstract String inComment(String before);

  final boolean means(TreePath path) {
    return trees.end(path.getLeaf()) >= 0 && type.equals(trees.element(path));
  }

  @Override
  public final Void visitIdentifier(IdentifierTree tree, Void unused) {
    if (means(getCurrentPath()) && seen.add(trees.start(tree))) {
      simple(getCurrentPath());
    }
    return null;
  }

  @Override
  public final Void visitMemberSelect(MemberSelectTree tree, Void unused) {
    if (!means(getCurrentPath())) {
      return super.visitMemberSelect(tree, null);
    }
    if (seen.add(trees.nameOffset(tree))) {
      qualified(getCurrentPath(), tree);
    }
    return null;
  }

  /** Writes what stands in front of the name in a Javadoc reference. */
  final void mention(int at) {
    SourceText source = trees.source();
    int from = at;
    while (from > 0 && DocMentions.isQualifier(source.text().charAt(from - 1))) {
      from--;
    }
    String before = source.slice(from, at);
    String then = inComment(before);
    if (then.equals(before)) {
      return;
    }
    String name = type.getSimpleName().toString();
    Written.Text text = Written.text("");
    Optional<Use> use = trees.program().uses().at(trees.path(), from, UseKind.DOC);
    use.ifPresent(each -> text.hereStill(UseKind.DOC, each.key(), each.place()));
    edits.add(
        trees.path(), Replacement.of(from, at + name.length(), text.text(then + name).done()));
  }
}
