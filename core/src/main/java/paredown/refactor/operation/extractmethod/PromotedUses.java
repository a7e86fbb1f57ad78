package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.ArrayAccessTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.code.Part;
import paredown.refactor.code.UnitTrees;

/**
 * Whether a part uses a number of a small type only where it is an {@code int} anyway, so that it
 * could be given as one.
 *
 * <p>The Java Language Specification, section 5.6: operators promote {@code byte} and {@code short}
 * to {@code int} before they do anything.
 */
final class PromotedUses extends TreePathScanner<Void, Void> {
  private static final Set<TypeKind> SMALL = Set.of(TypeKind.BYTE, TypeKind.SHORT, TypeKind.INT);
  private static final Set<TypeKind> NUMBERS =
      Set.of(TypeKind.INT, TypeKind.LONG, TypeKind.FLOAT, TypeKind.DOUBLE);
  private static final Set<Tree.Kind> OPERATORS =
      Set.of(Tree.Kind.UNARY_MINUS, Tree.Kind.UNARY_PLUS, Tree.Kind.BITWISE_COMPLEMENT);

  private final UnitTrees trees;
  private final VariableElement variable;
  private boolean all = true;

  private PromotedUses(UnitTrees trees, VariableElement variable) {
    this.trees = trees;
    this.variable = variable;
  }

  /** Whether all uses of a variable, which is only read, are of that kind. */
  static boolean are(UnitTrees trees, Part part, VariableElement variable) {
    if (!SMALL.contains(variable.asType().getKind())) {
      return false;
    }
    PromotedUses scan = new PromotedUses(trees, variable);
    part.trees().forEach(path -> scan.scan(path, null));
    return scan.all;
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    if (variable.equals(trees.element(getCurrentPath()))) {
      all &= isPromoted(getCurrentPath());
    }
    return null;
  }

  private boolean isPromoted(TreePath use) {
    TreePath above = use.getParentPath();
    Tree leaf = above.getLeaf();
    if (leaf instanceof ParenthesizedTree) {
      return isPromoted(above);
    }
    if (leaf instanceof BinaryTree binary) {
      // A text would take it as it is.
      return isPrimitive(above, binary.getLeftOperand())
          && isPrimitive(above, binary.getRightOperand());
    }
    if (leaf instanceof MethodInvocationTree call) {
      return isGivenAsNumber(above, call.getArguments(), use.getLeaf());
    }
    if (leaf instanceof NewClassTree made) {
      return isGivenAsNumber(above, made.getArguments(), use.getLeaf());
    }
    return leaf instanceof ArrayAccessTree
        || leaf instanceof UnaryTree unary && OPERATORS.contains(unary.getKind())
        || leaf instanceof TypeCastTree cast && isPrimitive(above, cast.getType())
        || leaf instanceof VariableTree declared && isWide(above, declared);
  }

  private boolean isPrimitive(TreePath above, Tree tree) {
    TypeMirror type = trees.program().trees().getTypeMirror(new TreePath(above, tree));
    return type != null && type.getKind().isPrimitive();
  }

  private boolean isWide(TreePath above, VariableTree declared) {
    return declared.getType() != null && NUMBERS.contains(trees.element(above).asType().getKind());
  }

  private boolean isGivenAsNumber(TreePath call, List<? extends Tree> arguments, Tree argument) {
    return GeneralType.given(trees, call, arguments, argument)
        .filter(type -> NUMBERS.contains(type.getKind()))
        .isPresent();
  }
}
