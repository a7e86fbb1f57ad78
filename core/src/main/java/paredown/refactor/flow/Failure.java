package paredown.refactor.flow;

import com.sun.source.tree.ArrayAccessTree;
import com.sun.source.tree.AssertTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.NewArrayTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.PackageElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;
import paredown.refactor.effect.Deed;
import paredown.refactor.effect.Deeds;
import paredown.refactor.effect.Effects;
import paredown.refactor.nulls.NonNull;

/**
 * A failure is how code can fail when it runs.
 *
 * @param asked the expressions in it that must not be null, and could be as far as nobody looks
 * @param otherwise whether it can fail in another way: by an index, a cast, a division, or what it
 *     calls
 */
record Failure(List<TreePath> asked, boolean otherwise) {
  private static final Set<Deed> FAILING = Set.of(Deed.THROWS, Deed.UNKNOWN, Deed.OUTSIDE);

  boolean isPossible() {
    return otherwise || !asked.isEmpty();
  }

  /** The same where something more must not be null. */
  Failure asking(TreePath more) {
    List<TreePath> all = new ArrayList<>(asked);
    all.add(more);
    return new Failure(all, otherwise);
  }

  static Failure of(Program program, Effects effects, TreePath code) {
    return of(program, effects, code, Integer.MAX_VALUE);
  }

  /**
   * How code can fail that runs at a place in front of its own.
   *
   * @param from where that place begins in the file
   */
  static Failure of(Program program, Effects effects, TreePath code, int from) {
    Scan scan = new Scan(program, from);
    scan.scan(code, null);
    Deeds deeds = effects.of(code);
    return new Failure(scan.asked, scan.otherwise || deeds.hasAny(FAILING));
  }

  private static final class Scan extends TreePathScanner<Void, Void> {
    private final Program program;
    private final int from;
    private final List<TreePath> asked = new ArrayList<>();
    private boolean otherwise;

    Scan(Program program, int from) {
      this.program = program;
      this.from = from;
    }

    private void ask(Tree tree) {
      TreePath path = new TreePath(getCurrentPath(), tree);
      boolean self =
          tree instanceof IdentifierTree name
              && (name.getName().contentEquals("this") || name.getName().contentEquals("super"));
      Element element = program.trees().getElement(path);
      boolean isName = element instanceof TypeElement || element instanceof PackageElement;
      boolean aroundSelf =
          tree instanceof MemberSelectTree select && select.getIdentifier().contentEquals("this");
      if (!self && !isName && !aroundSelf && !NonNull.is(program, path, from)) {
        asked.add(path);
      }
    }

    /** An object in the place of a number is asked for it. */
    private void unbox(Tree tree) {
      TypeMirror type = program.trees().getTypeMirror(new TreePath(getCurrentPath(), tree));
      if (type != null
          && type.getKind() == TypeKind.DECLARED
          && !type.toString().equals("java.lang.String")) {
        ask(tree);
      }
    }

    @Override
    public Void visitMemberSelect(MemberSelectTree tree, Void unused) {
      Element element = program.trees().getElement(getCurrentPath());
      boolean isStatic = element != null && element.getModifiers().contains(Modifier.STATIC);
      if (!isStatic && element != null && !(element instanceof TypeElement)) {
        ask(tree.getExpression());
      }
      return super.visitMemberSelect(tree, null);
    }

    @Override
    public Void visitMemberReference(MemberReferenceTree tree, Void unused) {
      ask(tree.getQualifierExpression());
      return super.visitMemberReference(tree, null);
    }

    @Override
    public Void visitArrayAccess(ArrayAccessTree tree, Void unused) {
      otherwise = true;
      return super.visitArrayAccess(tree, null);
    }

    @Override
    public Void visitTypeCast(TypeCastTree tree, Void unused) {
      TypeMirror to = program.trees().getTypeMirror(getCurrentPath());
      TypeMirror from =
          program.trees().getTypeMirror(new TreePath(getCurrentPath(), tree.getExpression()));
      boolean plain = to != null && from != null && from.getKind().isPrimitive();
      otherwise |= !plain;
      return super.visitTypeCast(tree, null);
    }

    @Override
    public Void visitBinary(BinaryTree tree, Void unused) {
      boolean divides = tree.getKind() == Tree.Kind.DIVIDE || tree.getKind() == Tree.Kind.REMAINDER;
      otherwise |= divides && !isNonZero(tree.getRightOperand());
      TypeMirror result = program.trees().getTypeMirror(getCurrentPath());
      if (result != null && result.getKind().isPrimitive() && !isComparison(tree.getKind())) {
        unbox(tree.getLeftOperand());
        unbox(tree.getRightOperand());
      }
      return super.visitBinary(tree, null);
    }

    private static boolean isComparison(Tree.Kind kind) {
      return kind == Tree.Kind.EQUAL_TO || kind == Tree.Kind.NOT_EQUAL_TO;
    }

    private static boolean isNonZero(ExpressionTree divisor) {
      return divisor instanceof LiteralTree literal
          && literal.getValue() instanceof Number number
          && number.doubleValue() != 0;
    }

    @Override
    public Void visitUnary(UnaryTree tree, Void unused) {
      unbox(tree.getExpression());
      return super.visitUnary(tree, null);
    }

    @Override
    public Void visitNewArray(NewArrayTree tree, Void unused) {
      otherwise |= tree.getDimensions().stream().anyMatch(each -> !(each instanceof LiteralTree));
      return super.visitNewArray(tree, null);
    }

    @Override
    public Void visitNewClass(NewClassTree tree, Void unused) {
      if (tree.getEnclosingExpression() != null) {
        ask(tree.getEnclosingExpression());
      }
      return super.visitNewClass(tree, null);
    }

    @Override
    public Void visitThrow(ThrowTree tree, Void unused) {
      otherwise = true;
      return super.visitThrow(tree, null);
    }

    @Override
    public Void visitAssert(AssertTree tree, Void unused) {
      otherwise = true;
      return super.visitAssert(tree, null);
    }

    @Override
    public Void visitEnhancedForLoop(EnhancedForLoopTree tree, Void unused) {
      ask(tree.getExpression());
      return super.visitEnhancedForLoop(tree, null);
    }

    @Override
    public Void visitSwitch(SwitchTree tree, Void unused) {
      TypeMirror type =
          program.trees().getTypeMirror(new TreePath(getCurrentPath(), tree.getExpression()));
      otherwise |= type == null || type.getKind() == TypeKind.DECLARED;
      return super.visitSwitch(tree, null);
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
}
