package paredown.refactor.code;

import com.sun.source.tree.CaseTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;

/** A case label is an enum constant by its bare name, which no qualifier may stand before. */
public final class CaseLabel {
  private CaseLabel() {}

  /** Whether a name is a label, and not what its case gives. */
  public static boolean is(TreePath name) {
    Tree parent = name.getParentPath().getLeaf();
    return parent instanceof CaseTree each
        ? each.getExpressions().stream().anyMatch(label -> label == name.getLeaf())
        : parent.getKind().name().endsWith("CASE_LABEL");
  }
}
