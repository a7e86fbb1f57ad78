package paredown.refactor.code;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;

/** Finds the return statements of a method, without those of lambdas and classes within it. */
public final class Returns extends TreePathScanner<Void, Void> {
  private final List<TreePath> found = new ArrayList<>();

  private Returns() {}

  /** The statements in a body, in their order. */
  public static List<TreePath> in(TreePath body) {
    Returns scan = new Returns();
    scan.scan(body, null);
    return scan.found;
  }

  @Override
  public Void visitReturn(ReturnTree tree, Void unused) {
    found.add(getCurrentPath());
    return null;
  }

  @Override
  public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
    return null;
  }

  @Override
  public Void visitClass(ClassTree tree, Void unused) {
    return null;
  }
}
