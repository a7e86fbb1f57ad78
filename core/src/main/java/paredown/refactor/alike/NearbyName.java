package paredown.refactor.alike;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.ExecutableElement;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Words;

/** What an expression is, by a name that stands near it. */
public final class NearbyName {
  private NearbyName() {}

  /** The name of what it is compared with, given to as an argument, or put into. */
  public static Optional<String> of(UnitTrees trees, TreePath expression) {
    TreePath above = expression.getParentPath();
    while (above.getLeaf() instanceof ParenthesizedTree) {
      above = above.getParentPath();
    }
    Tree tree = above.getLeaf();
    Optional<String> name = Optional.empty();
    if (tree instanceof BinaryTree binary && tree.getKind() != Tree.Kind.PLUS) {
      boolean left = binary.getLeftOperand() == expression.getLeaf();
      name = named(left ? binary.getRightOperand() : binary.getLeftOperand());
    } else if (tree instanceof AssignmentTree assignment) {
      name = named(assignment.getVariable());
    } else if (tree instanceof VariableTree variable) {
      name = Optional.of(variable.getName().toString());
    } else if (tree instanceof MethodInvocationTree call) {
      name = parameter(trees, above, call.getArguments(), expression);
    } else if (tree instanceof NewClassTree made) {
      name = parameter(trees, above, made.getArguments(), expression);
      name = name.isPresent() ? name : message(trees, above);
    }
    return name.filter(each -> each.length() > 1 && SourceVersion.isName(each));
  }

  private static Optional<String> named(ExpressionTree other) {
    if (other instanceof IdentifierTree name) {
      return Optional.of(name.getName().toString());
    }
    if (other instanceof MemberSelectTree select) {
      return Optional.of(select.getIdentifier().toString());
    }
    return other instanceof MethodInvocationTree call && call.getArguments().isEmpty()
        ? named(call.getMethodSelect()).map(NearbyName::withoutGet)
        : Optional.empty();
  }

  private static String withoutGet(String method) {
    return method.matches("get\\p{Lu}.*") ? Words.decapitalised(method.substring(3)) : method;
  }

  /** What an exception of a library is given is what it says. */
  private static Optional<String> message(UnitTrees trees, TreePath made) {
    return trees.element(made) instanceof ExecutableElement constructor
            && constructor.getEnclosingElement().toString().matches(".*(?:Exception|Error)")
            && trees.program().declaration(constructor) == null
        ? Optional.of("message")
        : Optional.empty();
  }

  /** The name that a method of the project has for what is given to it there. */
  private static Optional<String> parameter(
      UnitTrees trees,
      TreePath call,
      List<? extends ExpressionTree> arguments,
      TreePath expression) {
    int at = arguments.indexOf(expression.getLeaf());
    TreePath declared =
        trees.element(call) instanceof ExecutableElement method
            ? trees.program().declaration(method)
            : null;
    return declared != null
            && declared.getLeaf() instanceof MethodTree tree
            && at >= 0
            && at < tree.getParameters().size()
        ? Optional.of(tree.getParameters().get(at).getName().toString())
        : Optional.empty();
  }
}
