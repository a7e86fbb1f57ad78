package paredown.facts;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.facts.MethodFact.MemberUse;

/** The body of a method that may do no more than give, set or pass something on. */
final class PlainBody {
  private final DeclaredTypes own;
  private final UnitPlaces places;
  private final TreePath path;
  private final MethodTree tree;

  PlainBody(DeclaredTypes own, UnitPlaces places, TreePath path, MethodTree tree) {
    this.own = own;
    this.places = places;
    this.path = path;
    this.tree = tree;
  }

  private StatementTree only() {
    return tree.getBody() != null && tree.getBody().getStatements().size() == 1
        ? tree.getBody().getStatements().get(0)
        : null;
  }

  /** The expression that is all of a method's body, and where it stands; null where it is more. */
  private TreePath onlyExpression() {
    TreePath body = new TreePath(path, tree.getBody());
    if (only() instanceof ReturnTree statement && statement.getExpression() != null) {
      return new TreePath(new TreePath(body, statement), statement.getExpression());
    }
    if (only() instanceof ExpressionStatementTree statement) {
      return new TreePath(new TreePath(body, statement), statement.getExpression());
    }
    return null;
  }

  /** The own field that a method only returns; empty where it does more. */
  String returned() {
    return only() instanceof ReturnTree statement && statement.getExpression() != null
        ? ownField(onlyExpression())
        : "";
  }

  /** Whether a method only sets a field of its own to a parameter. */
  boolean assigns() {
    if (only() instanceof ExpressionStatementTree statement
        && statement.getExpression() instanceof AssignmentTree assignment
        && assignment.getExpression() instanceof IdentifierTree
        && tree.getParameters().size() == 1) {
      TreePath at = onlyExpression();
      return !ownField(new TreePath(at, assignment.getVariable())).isEmpty();
    }
    return false;
  }

  /** What a method only passes its own parameters on to, or its object with them. */
  Optional<Access> forwards() {
    TreePath at = only() == null ? null : onlyExpression();
    if (at == null || !(at.getLeaf() instanceof MethodInvocationTree call)) {
      return Optional.empty();
    }
    Set<String> given =
        tree.getParameters().stream()
            .map(each -> each.getName().toString())
            .collect(Collectors.toSet());
    given.add("this");
    boolean passesOn =
        call.getArguments().stream()
            .allMatch(
                each ->
                    each instanceof IdentifierTree name
                        && given.contains(name.getName().toString()));
    TreePath select = new TreePath(at, call.getMethodSelect());
    return passesOn
            && own.element(select) instanceof ExecutableElement called
            && own.holds(called.getEnclosingElement())
            && own.root(select).kind() == Access.Root.Kind.FIELD
        ? Optional.of(
            new Access(
                new MemberUse(
                    MemberUse.Kind.CALL,
                    own.name((TypeElement) called.getEnclosingElement()),
                    own.signature(called)),
                own.root(select),
                places.source().line(Math.max(0, places.start(call))),
                places.start(call)))
        : Optional.empty();
  }

  /** Whether it only passes its parameters, all of them, to the constructor above. */
  boolean passesUp() {
    if (tree.getBody() == null) {
      // A constructor that somebody has not finished writing.
      return false;
    }
    if (tree.getBody().getStatements().isEmpty()) {
      return tree.getParameters().isEmpty();
    }
    if (only() instanceof ExpressionStatementTree statement
        && statement.getExpression() instanceof MethodInvocationTree call
        && call.getMethodSelect().toString().equals("super")) {
      List<String> given = call.getArguments().stream().map(Tree::toString).toList();
      List<String> taken =
          tree.getParameters().stream().map(each -> each.getName().toString()).toList();
      return given.equals(taken);
    }
    return false;
  }

  private String ownField(TreePath path) {
    ExpressionTree tree = (ExpressionTree) path.getLeaf();
    boolean plain =
        tree instanceof IdentifierTree
            || tree instanceof MemberSelectTree select
                && select.getExpression() instanceof IdentifierTree self
                && self.getName().contentEquals("this");
    Element element = plain ? own.element(path) : null;
    return element != null
            && element.getKind() == ElementKind.FIELD
            && !element.getModifiers().contains(Modifier.STATIC)
        ? element.getSimpleName().toString()
        : "";
  }
}
