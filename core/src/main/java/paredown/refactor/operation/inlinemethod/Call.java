package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.Blocks;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.flow.Jumps;
import paredown.refactor.use.MemberUses;

/**
 * A call of the method that is inlined.
 *
 * @param path of the whole call
 * @param type the class around it
 */
record Call(UnitTrees trees, TreePath path, TypeElement type) {

  /**
   * The call that a use of the method is.
   *
   * @throws Refused where it is another use
   */
  static Call of(MemberUses.MemberUse use) {
    TreePath above = use.path().getParentPath();
    boolean call =
        use.access() == MemberUses.Access.CALL
            && above.getLeaf() instanceof MethodInvocationTree invocation
            && invocation.getMethodSelect() == use.path().getLeaf();
    if (!call) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "A method reference stands there, which cannot become code.",
          "Write a lambda there first, or inline the calls with --keep.",
          use.place());
    }
    return new Call(use.trees(), above, use.trees().classAround(above));
  }

  /** Whether it stands within a class. */
  boolean isWithin(TypeElement type) {
    return CodeElsewhere.isWithin(trees, path, type);
  }

  MethodInvocationTree tree() {
    return (MethodInvocationTree) path.getLeaf();
  }

  String place() {
    return trees.place(tree());
  }

  int start() {
    return trees.start(tree());
  }

  int end() {
    return trees.end(tree());
  }

  TreePath argument(int index) {
    return new TreePath(path, tree().getArguments().get(index));
  }

  /** The object that is asked; null where the name stands alone, or behind this or a type. */
  TreePath receiver() {
    if (!(tree().getMethodSelect() instanceof MemberSelectTree select)) {
      return null;
    }
    TreePath receiver =
        new TreePath(new TreePath(path, tree().getMethodSelect()), select.getExpression());
    Element element = trees.element(receiver);
    boolean self =
        select.getExpression() instanceof IdentifierTree name
            && name.getName().contentEquals("this");
    return self || element instanceof TypeElement ? null : receiver;
  }

  boolean asksSuper() {
    return tree().getMethodSelect() instanceof MemberSelectTree select
        && select.getExpression().toString().matches("(.*\\.)?super");
  }

  /** The statement around it, the innermost. */
  TreePath statement() {
    TreePath at = path;
    while (at.getLeaf() instanceof ExpressionTree) {
      at = at.getParentPath();
    }
    return at;
  }

  /** Whether it is a statement by itself, so that nothing uses what it gives. */
  boolean isStatement() {
    return path.getParentPath().getLeaf() instanceof ExpressionStatementTree;
  }

  /** Whether its statement does nothing behind it but throw or return what it gives. */
  boolean isLast() {
    Tree around = path.getParentPath().getLeaf();
    return around instanceof ThrowTree || around instanceof ReturnTree;
  }

  /** The innermost statement of a block around it; null where there is none. */
  TreePath inBlock() {
    for (TreePath at = path; at.getParentPath() != null; at = at.getParentPath()) {
      if (Blocks.holds(at)) {
        return at;
      }
      Tree around = at.getParentPath().getLeaf();
      if (around instanceof LambdaExpressionTree || around instanceof ClassTree) {
        return null;
      }
    }
    return null;
  }

  /** Whether it is the one statement of a branch or loop without braces, which then gets some. */
  boolean isBranch() {
    Tree around = statement().getParentPath().getLeaf();
    return isStatement() && (around instanceof IfTree || Jumps.isLoop(around));
  }

  /** Whether its statement is the end of its own method, which gives what the call gives. */
  boolean endsMethod() {
    TreePath statement = inBlock();
    if (statement == null) {
      return false;
    }
    if (statement.getLeaf() instanceof ReturnTree end) {
      return end.getExpression() == tree() && givesSame();
    }
    return statement.getLeaf() == path.getParentPath().getLeaf()
        && isStatement()
        && statement.getParentPath().getParentPath().getLeaf() instanceof MethodTree around
        && around.getBody() == statement.getParentPath().getLeaf()
        && isVoid(around)
        && around.getBody().getStatements().indexOf(statement.getLeaf())
            == around.getBody().getStatements().size() - 1;
  }

  private static boolean isVoid(MethodTree method) {
    return method.getReturnType() == null || method.getReturnType().toString().equals("void");
  }

  private boolean givesSame() {
    for (TreePath at = path; at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof LambdaExpressionTree) {
        return false;
      }
      if (at.getLeaf() instanceof MethodTree method) {
        TreePath type = new TreePath(at, method.getReturnType());
        var typing = trees.program().trees();
        return trees
            .program()
            .types()
            .isSameType(typing.getTypeMirror(type), typing.getTypeMirror(path));
      }
    }
    return false;
  }

  /** Whether the method gives a value. */
  boolean givesValue() {
    TypeMirror given = trees.program().trees().getTypeMirror(path);
    return given != null && given.getKind() != TypeKind.VOID;
  }

  /** What holds the variables that its place gets: a block, or itself. */
  Tree scope() {
    TreePath statement = inBlock();
    return isBranch() || statement == null
        ? statement().getLeaf()
        : statement.getParentPath().getLeaf();
  }

  /** The body of the method, initialiser or field that it stands in. */
  TreePath member() {
    TreePath at = path;
    while (!(at.getParentPath().getLeaf() instanceof ClassTree)) {
      at = at.getParentPath();
    }
    return at;
  }

  List<? extends ExpressionTree> arguments() {
    return tree().getArguments();
  }
}
