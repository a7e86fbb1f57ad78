package paredown.refactor.code;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;

/** Finds where a local variable is named. */
public final class LocalUses {
  private LocalUses() {}

  /** The places in their order, without its declaration. */
  public static List<TreePath> of(UnitTrees trees, TreePath declaration) {
    Element variable = trees.element(declaration);
    List<TreePath> uses = new ArrayList<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        if (variable.equals(trees.element(getCurrentPath()))) {
          uses.add(getCurrentPath());
        }
        return null;
      }
    }.scan(declaration.getParentPath(), null);
    return uses;
  }
}
