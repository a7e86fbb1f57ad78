package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/** Where code of a file names a type, the type's own declaration and imports apart. */
final class Mentions extends TreePathScanner<Void, Void> {
  private final UnitTrees trees;
  private final OwnerClass type;
  private final List<TreePath> found = new ArrayList<>();

  private Mentions(UnitTrees trees, OwnerClass type) {
    this.trees = trees;
    this.type = type;
  }

  /** The names, with what qualifies them, in the order of the text. */
  static List<TreePath> of(UnitTrees trees, OwnerClass type) {
    Mentions mentions = new Mentions(trees, type);
    mentions.scan(trees.unit().tree(), null);
    return mentions.found;
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    return tree == type.tree() ? null : super.visitClass(tree, null);
  }

  @Override
  public Void visitImport(ImportTree tree, Void unused) {
    return null;
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    add();
    return null;
  }

  @Override
  public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
    return add() ? null : super.visitMemberSelect(tree, null);
  }

  private boolean add() {
    boolean meant =
        type.element().equals(trees.element(getCurrentPath()))
            && trees.end(getCurrentPath().getLeaf()) >= 0;
    // The compiler has what a class without a name extends a second time, as its own.
    int start = trees.start(getCurrentPath().getLeaf());
    if (meant && found.stream().noneMatch(each -> trees.start(each.getLeaf()) == start)) {
      found.add(getCurrentPath());
    }
    return meant;
  }
}
