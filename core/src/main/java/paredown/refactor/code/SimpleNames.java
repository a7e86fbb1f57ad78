package paredown.refactor.code;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePathScanner;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Set;

/**
 * Looks at each simple name that code says, once. What a class without a name extends is the same
 * tree as what it is made of, and some names are in no text.
 */
public abstract class SimpleNames extends TreePathScanner<Void, Void> {
  private final UnitTrees trees;
  private final Set<Tree> seen = Collections.newSetFromMap(new IdentityHashMap<>());

  protected SimpleNames(UnitTrees trees) {
    this.trees = trees;
  }

  /** Looks at a name, which is at the current path. */
  protected abstract void name(IdentifierTree tree);

  @Override
  public final Void visitIdentifier(IdentifierTree tree, Void unused) {
    if (trees.end(tree) >= 0 && seen.add(tree)) {
      name(tree);
    }
    return null;
  }
}
