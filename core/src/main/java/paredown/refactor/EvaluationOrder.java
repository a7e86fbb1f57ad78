package paredown.refactor;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.program.Symbols;

/** Tells which expressions may be evaluated in another order without anybody noticing. */
final class EvaluationOrder {

  /** What evaluating an expression can notice or do. */
  private enum Effect {
    /** It is the same at any time. */
    NONE,
    /** It looks at something that others may change. */
    LOOKS,
    /** It may change something. */
    ACTS
  }

  private final UnitTrees trees;
  private final CalmCalls calm;

  EvaluationOrder(UnitTrees trees, CalmCalls calm) {
    this.trees = trees;
    this.calm = calm;
  }

  /** Whether an expression may be evaluated behind or before others. */
  boolean commutes(TreePath one, List<TreePath> others) {
    Effect mine = effect(one);
    for (TreePath other : others) {
      Effect its = effect(other);
      boolean looking = mine != Effect.ACTS && its != Effect.ACTS;
      boolean fixed = isFixed(one) || isFixed(other);
      if (!looking && !fixed) {
        return false;
      }
    }
    return true;
  }

  /** Whether an expression may be evaluated twice, or not at all. */
  boolean isQuiet(TreePath expression) {
    return effect(expression) != Effect.ACTS;
  }

  /** Whether nothing that code does can make an expression mean something else. */
  private boolean isFixed(TreePath expression) {
    Tree tree = expression.getLeaf();
    if (tree instanceof LiteralTree || tree instanceof LambdaExpressionTree) {
      return true;
    }
    if (!(tree instanceof IdentifierTree name)) {
      return false;
    }
    Element element = trees.element(expression);
    if (element == null || name.getName().contentEquals("this")) {
      return true;
    }
    boolean isFinal = element.getModifiers().contains(Modifier.FINAL);
    boolean isVariable = element.getKind().isField() || Symbols.isLocal(element);
    return !isVariable || isFinal || Symbols.isLocal(element) && !isAssigned(element, expression);
  }

  /** Whether a local variable is assigned within the statement that uses it. */
  private boolean isAssigned(Element local, TreePath use) {
    TreePath statement = use;
    while (statement.getLeaf() instanceof com.sun.source.tree.ExpressionTree) {
      statement = statement.getParentPath();
    }
    return Writes.in(trees, statement).contains(local);
  }

  private Effect effect(TreePath expression) {
    Effect[] worst = {Effect.NONE};
    new TreePathScanner<Void, Void>() {
      private void atLeast(Effect effect) {
        worst[0] = effect.compareTo(worst[0]) > 0 ? effect : worst[0];
      }

      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        Element called = trees.element(new TreePath(getCurrentPath(), tree.getMethodSelect()));
        atLeast(called != null && calm.isCalm(called) ? Effect.LOOKS : Effect.ACTS);
        return super.visitMethodInvocation(tree, null);
      }

      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        atLeast(Effect.ACTS);
        return super.visitNewClass(tree, null);
      }

      @Override
      public Void visitAssignment(AssignmentTree tree, Void unused) {
        atLeast(Effect.ACTS);
        return super.visitAssignment(tree, null);
      }

      @Override
      public Void visitCompoundAssignment(CompoundAssignmentTree tree, Void unused) {
        atLeast(Effect.ACTS);
        return super.visitCompoundAssignment(tree, null);
      }

      @Override
      public Void visitUnary(UnaryTree tree, Void unused) {
        boolean updates = tree.getKind().name().contains("CREMENT");
        atLeast(updates ? Effect.ACTS : Effect.NONE);
        return super.visitUnary(tree, null);
      }

      @Override
      public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
        return null;
      }

      @Override
      public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
        atLeast(Effect.LOOKS);
        return super.visitMemberReference(tree, null);
      }

      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        if (!isFixed(getCurrentPath())) {
          atLeast(Effect.LOOKS);
        }
        return null;
      }

      @Override
      public Void visitMemberSelect(com.sun.source.tree.MemberSelectTree tree, Void unused) {
        Element element = trees.element(getCurrentPath());
        boolean field = element != null && element.getKind().isField();
        if (field && !element.getModifiers().contains(Modifier.FINAL)) {
          atLeast(Effect.LOOKS);
        }
        return super.visitMemberSelect(tree, null);
      }
    }.scan(expression, null);
    return worst[0];
  }
}
