package paredown.refactor.effect;

import com.sun.source.tree.ArrayAccessTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.program.Symbols;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;

/** Tells which expressions may be evaluated in another order without anybody noticing. */
public final class EvaluationOrder {

  /** What evaluating an expression can notice or do. */
  private enum Effect {
    /** It is the same at any time. */
    NONE,
    /** It looks at something that others may change. */
    LOOKS,
    /** It may change something. */
    ACTS
  }

  private static final Set<Deed> ACTING =
      EnumSet.of(Deed.SETS, Deed.SETS_LOCAL, Deed.CHANGES, Deed.OUTSIDE, Deed.UNKNOWN);

  private static final Set<Deed> LOOKING =
      EnumSet.of(Deed.READS, Deed.THROWS, Deed.MAKES_TEXT, Deed.COMPARES, Deed.GOES_THROUGH);

  private final UnitTrees trees;
  private final CalmCalls calm;

  public EvaluationOrder(UnitTrees trees, CalmCalls calm) {
    this.trees = trees;
    this.calm = calm;
  }

  /** Whether an expression may be evaluated behind or before others. */
  public boolean commutes(TreePath one, List<TreePath> others) {
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

  /** Whether evaluating an expression does nothing that shows. */
  public boolean isQuiet(TreePath expression) {
    return effect(expression) != Effect.ACTS;
  }

  /** Whether an expression may be evaluated twice: it also gives the same both times. */
  public boolean isRepeatable(TreePath expression) {
    boolean[] makes = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        makes[0] = true;
        return null;
      }
    }.scan(expression, null);
    return !makes[0] && isQuiet(expression);
  }

  /** Whether an expression need not be evaluated at all: it cannot fail either. */
  public boolean isOmissible(TreePath expression) {
    return isQuiet(expression) && !canFail(expression);
  }

  /** Whether an expression does nothing, and is not changed by anything else. */
  public boolean isFixedOrPlain(TreePath expression) {
    return effect(expression) == Effect.NONE || isQuiet(expression) && !canFail(expression);
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

  /** Whether an expression can fail by what stands in it: a cast, an index, a division. */
  public boolean canFail(TreePath expression) {
    boolean[] fails = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitTypeCast(TypeCastTree tree, Void unused) {
        fails[0] = true;
        return null;
      }

      @Override
      public Void visitArrayAccess(ArrayAccessTree tree, Void unused) {
        fails[0] = true;
        return null;
      }

      @Override
      public Void visitBinary(BinaryTree tree, Void unused) {
        fails[0] |= tree.getKind() == Tree.Kind.DIVIDE || tree.getKind() == Tree.Kind.REMAINDER;
        return super.visitBinary(tree, null);
      }

      @Override
      public Void visitLambdaExpression(LambdaExpressionTree tree, Void unused) {
        return null;
      }
    }.scan(expression, null);
    return fails[0];
  }

  private Effect effect(TreePath expression) {
    Deeds deeds = calm.effects().of(expression);
    if (deeds.hasAny(ACTING)) {
      return Effect.ACTS;
    }
    Effect[] worst = {deeds.hasAny(LOOKING) ? Effect.LOOKS : Effect.NONE};
    new TreePathScanner<Void, Void>() {
      private void atLeast(Effect effect) {
        worst[0] = effect.compareTo(worst[0]) > 0 ? effect : worst[0];
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
    }.scan(expression, null);
    return worst[0];
  }
}
