package paredown.refactor.code;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreeScanner;
import java.util.ArrayList;
import java.util.List;

/** The trees that another is directly made of, in the order in which they stand. */
public final class Children extends TreeScanner<Void, Void> {
  private final List<Tree> found = new ArrayList<>();

  private Children() {}

  public static List<Tree> of(Tree tree) {
    Children children = new Children();
    tree.accept(children, null);
    return children.found;
  }

  @Override
  public Void scan(Tree tree, Void unused) {
    if (tree != null) {
      found.add(tree);
    }
    return null;
  }
}
