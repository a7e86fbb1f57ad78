package paredown.refactor;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewArrayTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;

/**
 * Tells which final fields hold an object all the while: every way to construct their owner gives
 * them one before anything of the owner's own runs.
 */
final class NeverNull {
  /** How many methods deep it looks for what a value is. */
  private static final int DEPTH = 3;

  private final OwnerClass owner;
  private final Program program;

  NeverNull(OwnerClass owner) {
    this.owner = owner;
    this.program = owner.program();
  }

  boolean is(VariableElement variable) {
    OwnerClass.Field field =
        owner.fields().stream()
            .filter(each -> each.element().equals(variable))
            .findFirst()
            .orElse(null);
    boolean plain =
        field != null
            && field.is(Modifier.FINAL)
            && owner.element().getKind() == ElementKind.CLASS
            && owner.element().getSuperclass().toString().equals("java.lang.Object")
            && initialisersAreQuiet(field);
    if (!plain) {
      return false;
    }
    if (field.tree().getInitializer() != null) {
      return isObject(new TreePath(field.path(), field.tree().getInitializer()), DEPTH);
    }
    List<OwnerClass.Method> makers =
        owner.constructors().stream().filter(each -> !each.callsAnother()).toList();
    return !makers.isEmpty() && makers.stream().allMatch(maker -> isGiven(variable, maker));
  }

  /** Whether no initialiser that runs before the field has its value could ask the object. */
  private boolean initialisersAreQuiet(OwnerClass.Field field) {
    boolean made = field.tree().getInitializer() != null;
    List<TreePath> before = new ArrayList<>();
    for (OwnerClass.Field each : owner.fields()) {
      boolean earlier = !made || each.declared() <= field.declared();
      if (!each.is(Modifier.STATIC) && each.tree().getInitializer() != null && earlier) {
        before.add(new TreePath(each.path(), each.tree().getInitializer()));
      }
    }
    for (OwnerClass.Initialiser block : owner.initialisers()) {
      boolean earlier = !made || owner.trees().start(block.tree()) < field.declared();
      if (!block.tree().isStatic() && earlier) {
        before.add(block.path());
      }
    }
    return before.stream().allMatch(code -> OwnerTouches.in(owner, code).isEmpty());
  }

  /** Whether a constructor sets the field to an object, and nothing asks its own before that. */
  private boolean isGiven(VariableElement field, OwnerClass.Method constructor) {
    TreePath body = new TreePath(constructor.path(), constructor.tree().getBody());
    for (StatementTree statement : constructor.tree().getBody().getStatements()) {
      TreePath path = new TreePath(body, statement);
      if (statement instanceof ExpressionStatementTree expression
          && expression.getExpression() instanceof AssignmentTree assignment) {
        TreePath set = new TreePath(path, assignment);
        if (field.equals(owner.trees().element(new TreePath(set, assignment.getVariable())))) {
          TreePath value = new TreePath(set, assignment.getExpression());
          return OwnerTouches.in(owner, value).isEmpty()
              && (isObject(value, DEPTH) || isRequired(value, body));
        }
      }
      if (!OwnerTouches.in(owner, path).isEmpty()) {
        return false;
      }
    }
    return false;
  }

  /** Whether a constructor fails where a parameter of it is null. */
  private boolean isRequired(TreePath value, TreePath body) {
    Element parameter = owner.trees().element(value);
    return parameter != null
        && parameter.getKind() == ElementKind.PARAMETER
        && Dereference.isCertain(
            owner.trees(), body, path -> parameter.equals(owner.trees().element(path)));
  }

  private Element element(TreePath path) {
    return program.trees().getElement(path);
  }

  /** Whether an expression gives an object whenever it gives anything. */
  private boolean isObject(TreePath path, int depth) {
    Tree tree = path.getLeaf();
    if (tree instanceof NewClassTree
        || tree instanceof NewArrayTree
        || tree instanceof LambdaExpressionTree
        || tree.getKind() == Tree.Kind.STRING_LITERAL) {
      return true;
    }
    if (tree instanceof ParenthesizedTree inner) {
      return isObject(new TreePath(path, inner.getExpression()), depth);
    }
    if (tree instanceof TypeCastTree cast) {
      return isObject(new TreePath(path, cast.getExpression()), depth);
    }
    if (tree instanceof ConditionalExpressionTree either) {
      return isObject(new TreePath(path, either.getTrueExpression()), depth)
          && isObject(new TreePath(path, either.getFalseExpression()), depth);
    }
    if (tree instanceof IdentifierTree || tree instanceof MemberSelectTree) {
      Element named = element(path);
      return named != null && named.getKind() == ElementKind.ENUM_CONSTANT
          || tree instanceof IdentifierTree name && name.getName().contentEquals("this");
    }
    return tree instanceof MethodInvocationTree call
        && element(new TreePath(path, call.getMethodSelect())) instanceof ExecutableElement method
        && givesObject(method, depth);
  }

  private boolean givesObject(ExecutableElement method, int depth) {
    String type = method.getEnclosingElement().toString();
    if (type.equals("java.util.Objects")) {
      return method.getSimpleName().toString().startsWith("requireNonNull");
    }
    boolean last =
        method.getModifiers().contains(Modifier.STATIC)
            || method.getModifiers().contains(Modifier.PRIVATE)
            || method.getModifiers().contains(Modifier.FINAL)
            || method.getEnclosingElement().getModifiers().contains(Modifier.FINAL);
    TreePath path = program.declaration(method);
    return last
        && depth > 0
        && path != null
        && path.getLeaf() instanceof MethodTree tree
        && tree.getBody() != null
        && givesObjects(new TreePath(path, tree.getBody()), depth - 1);
  }

  private boolean givesObjects(TreePath body, int depth) {
    return Returns.in(body).stream().allMatch(path -> givesObject(path, depth));
  }

  private boolean givesObject(TreePath path, int depth) {
    ExpressionTree given = ((ReturnTree) path.getLeaf()).getExpression();
    return given != null && isObject(new TreePath(path, given), depth);
  }
}
