package paredown.refactor.code;

import com.sun.source.tree.AnnotatedTypeTree;
import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.ArrayTypeTree;
import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewArrayTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParameterizedTypeTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.PrimitiveTypeTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.tree.WildcardTree;
import com.sun.source.util.TreePath;
import javax.lang.model.element.Element;
import javax.lang.model.element.PackageElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;

/** Tells which expressions are values that could have a name of their own. */
public final class Values {
  private Values() {}

  /** Whether an expression gives a value where it stands, and is not a place for one. */
  public static boolean isOne(UnitTrees trees, TreePath path) {
    Tree around = path.getParentPath().getLeaf();
    Tree tree = path.getLeaf();
    Element element = trees.element(path);
    boolean noValue =
        (element instanceof TypeElement || element instanceof PackageElement)
                && (tree instanceof IdentifierTree || tree instanceof MemberSelectTree)
            || around instanceof MethodInvocationTree call && call.getMethodSelect() == tree
            || around instanceof AssignmentTree set && set.getVariable() == tree
            || around instanceof CompoundAssignmentTree change && change.getVariable() == tree
            || around instanceof CaseTree
            || around instanceof AnnotationTree
            || around instanceof ExpressionStatementTree
            || around instanceof TryTree
            || around instanceof UnaryTree unary && isStep(unary.getKind())
            || isType(tree)
            || tree instanceof NewArrayTree array && array.getType() == null
            || tree instanceof IdentifierTree name && isSuper(name)
            || tree instanceof ParenthesizedTree && isHead(around);
    TypeMirror type = trees.program().trees().getTypeMirror(path);
    boolean typed =
        type != null
            && (type.getKind().isPrimitive()
                || type.getKind() == TypeKind.DECLARED
                || type.getKind() == TypeKind.ARRAY
                || type.getKind() == TypeKind.TYPEVAR);
    return typed && !noValue;
  }

  private static boolean isType(Tree tree) {
    return tree instanceof PrimitiveTypeTree
        || tree instanceof ArrayTypeTree
        || tree instanceof ParameterizedTypeTree
        || tree instanceof AnnotatedTypeTree
        || tree instanceof WildcardTree;
  }

  private static boolean isSuper(IdentifierTree name) {
    return name.getName().contentEquals("super");
  }

  /** Whether an expression can be a statement (JLS 14.8). */
  public static boolean isStatement(Tree value) {
    return isStep(value.getKind())
        || value instanceof MethodInvocationTree
        || value instanceof NewClassTree
        || value instanceof AssignmentTree
        || value instanceof CompoundAssignmentTree;
  }

  /** Whether brackets within a statement belong to the statement. */
  public static boolean isHead(Tree statement) {
    return switch (statement.getKind()) {
      case IF, WHILE_LOOP, DO_WHILE_LOOP, SWITCH, SWITCH_EXPRESSION, SYNCHRONIZED -> true;
      default -> false;
    };
  }

  /** Whether an operator sets the variable that it is applied to. */
  public static boolean isStep(Tree.Kind kind) {
    return kind == Tree.Kind.PREFIX_INCREMENT
        || kind == Tree.Kind.PREFIX_DECREMENT
        || kind == Tree.Kind.POSTFIX_INCREMENT
        || kind == Tree.Kind.POSTFIX_DECREMENT;
  }
}
