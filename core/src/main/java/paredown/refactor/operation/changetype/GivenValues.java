package paredown.refactor.operation.changetype;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.plan.InnerFirst;

/** What a file gives to the holders, and becomes an object of the new type where one is made. */
final class GivenValues extends TreePathScanner<Void, Void> {
  private final UnitTrees trees;
  private final Holders holders;
  private final Set<ExecutableElement> heads;
  private final RetypedCode code;
  private final InnerFirst inOrder;
  private final NeverNull neverNull;

  GivenValues(
      UnitTrees trees,
      Holders holders,
      Set<ExecutableElement> heads,
      RetypedCode code,
      InnerFirst inOrder,
      NeverNull neverNull) {
    this.trees = trees;
    this.holders = holders;
    this.heads = heads;
    this.code = code;
    this.inOrder = inOrder;
    this.neverNull = neverNull;
  }

  /** Notes the edits. */
  void collect() {
    scan(trees.unit().tree(), null);
  }

  @Override
  public Void visitAssignment(AssignmentTree tree, Void unused) {
    give(trees.element(new TreePath(getCurrentPath(), tree.getVariable())), tree.getExpression());
    return super.visitAssignment(tree, null);
  }

  @Override
  public Void visitVariable(VariableTree tree, Void unused) {
    if (tree.getInitializer() != null) {
      give(trees.element(getCurrentPath()), tree.getInitializer());
    }
    return super.visitVariable(tree, null);
  }

  @Override
  public Void visitReturn(ReturnTree tree, Void unused) {
    if (tree.getExpression() != null) {
      for (TreePath at = getCurrentPath(); at != null; at = at.getParentPath()) {
        if (at.getLeaf() instanceof LambdaExpressionTree || at.getLeaf() instanceof ClassTree) {
          break;
        }
        give(trees.element(at), tree.getExpression());
      }
    }
    return super.visitReturn(tree, null);
  }

  @Override
  public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
    if (trees.end(tree) >= 0) {
      call(tree);
    }
    return super.visitMethodInvocation(tree, null);
  }

  @Override
  public Void visitNewClass(NewClassTree tree, Void unused) {
    call(tree);
    return super.visitNewClass(tree, null);
  }

  private void call(Tree tree) {
    if (trees.element(getCurrentPath()) instanceof ExecutableElement called
        && heads.contains(called)) {
      if (tree instanceof MethodInvocationTree invoked
          && trees.end(invoked.getMethodSelect()) >= 0) {
        code.call(trees, invoked, called);
      }
      for (int i = 0; i < called.getParameters().size(); i++) {
        give(called.getParameters().get(i), Flow.arguments(tree).get(i));
      }
    }
  }

  private void give(Element holder, ExpressionTree value) {
    if (holder != null && holders.has(holder) && holders.exchange().maker().isPresent()) {
      made(new TreePath(getCurrentPath(), value));
    }
  }

  private void made(TreePath value) {
    if (value.getLeaf() instanceof ParenthesizedTree inner) {
      retyped(value);
      made(new TreePath(value, inner.getExpression()));
    } else if (value.getLeaf() instanceof ConditionalExpressionTree either) {
      retyped(value);
      made(new TreePath(value, either.getTrueExpression()));
      made(new TreePath(value, either.getFalseExpression()));
    } else if (value.getLeaf().getKind() == Tree.Kind.NULL_LITERAL) {
      neverNull.require("null is given to it there", trees.place(value.getLeaf()));
    } else if (!holders.has(trees.element(named(value)))) {
      inOrder.add(trees, value.getLeaf(), () -> code.make(trees, value));
    }
  }

  private void retyped(TreePath value) {
    inOrder.add(trees, value.getLeaf(), () -> code.retype(trees, value));
  }

  /** What an assignment that is given on sets. */
  private TreePath named(TreePath value) {
    return value.getLeaf() instanceof AssignmentTree set
        ? new TreePath(value, set.getVariable())
        : value;
  }
}
