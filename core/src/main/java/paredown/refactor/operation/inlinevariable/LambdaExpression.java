package paredown.refactor.operation.inlinevariable;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Carried;
import paredown.edit.Indent;
import paredown.edit.Replacement;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;

/**
 * The one expression that a lambda says when a variable of its block is gone.
 *
 * @param block of the lambda
 * @param expression what it gives, or does
 */
record LambdaExpression(UnitTrees trees, TreePath block, ExpressionTree expression) {

  /** The expression; empty where the block has more, or another method could be meant then. */
  static Optional<LambdaExpression> behind(UnitTrees trees, TreePath variable) {
    TreePath block = variable.getParentPath();
    if (!(block.getLeaf() instanceof BlockTree body)
        || !(block.getParentPath().getLeaf() instanceof LambdaExpressionTree)
        || body.getStatements().size() != 2
        || body.getStatements().get(0) != variable.getLeaf()
        || isOneOfSeveral(trees, block.getParentPath())) {
      return Optional.empty();
    }
    StatementTree last = body.getStatements().get(1);
    ExpressionTree given =
        last instanceof ReturnTree end
            ? end.getExpression()
            : last instanceof ExpressionStatementTree done ? done.getExpression() : null;
    return Optional.ofNullable(given)
        .map(each -> new LambdaExpression(trees, block, each))
        .filter(each -> !each.isCommented());
  }

  /** Whether a lambda is given to a method of whose name there are others that take as much. */
  private static boolean isOneOfSeveral(UnitTrees trees, TreePath lambda) {
    Tree around = lambda.getParentPath().getLeaf();
    boolean given = around instanceof MethodInvocationTree || around instanceof NewClassTree;
    Element called = given ? trees.element(lambda.getParentPath()) : null;
    if (!(called instanceof ExecutableElement method)
        || !(called.getEnclosingElement() instanceof TypeElement type)) {
      return given;
    }
    List<? extends Element> all = trees.program().elements().getAllMembers(type);
    return ElementFilter.methodsIn(all).stream()
            .filter(each -> each.getSimpleName().equals(method.getSimpleName()))
            .filter(each -> each.getParameters().size() == method.getParameters().size())
            .anyMatch(each -> !each.equals(method))
        || around instanceof NewClassTree
            && ElementFilter.constructorsIn(type.getEnclosedElements()).size() > 1;
  }

  private boolean isCommented() {
    int start = trees.start(block.getLeaf());
    return trees.source().tokens(start, trees.end(block.getLeaf())).stream()
        .anyMatch(token -> token.kind().isComment());
  }

  /**
   * It in the place of the block.
   *
   * @param inside the edits within it
   * @param value what stands in it now
   */
  Replacement instead(List<Replacement> inside, Carried value) {
    int start = trees.start(expression);
    Indent indent =
        new Indent(
            trees.source().indentAt(start),
            trees.source().indentAt(trees.start(block.getParentPath().getLeaf())));
    Carried said = new Carried(trees.path(), start, trees.end(expression), inside, indent, null);
    return Rewriting.of(
            trees,
            trees.start(block.getLeaf()),
            trees.end(block.getLeaf()),
            "its value stands elsewhere",
            List.of(said),
            List.of(value))
        .proving("it is all that the block does");
  }
}
