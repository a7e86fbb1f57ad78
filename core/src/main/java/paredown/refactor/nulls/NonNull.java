package paredown.refactor.nulls;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewArrayTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;
import paredown.refactor.code.Returns;
import paredown.refactor.effect.Overriding;
import paredown.refactor.use.PrivateCalls;

/** Tells which expressions give an object whenever they give anything. */
public final class NonNull {
  /** How many declarations deep it looks for what a value is. */
  private static final int DEPTH = 3;

  private final Program program;
  private final int depth;
  private final int from;

  private NonNull(Program program, int depth, int from) {
    this.program = program;
    this.depth = depth;
    this.from = from;
  }

  /** Whether an expression cannot be null where it stands. */
  public static boolean is(Program program, TreePath expression) {
    return is(program, expression, Integer.MAX_VALUE);
  }

  /**
   * Whether an expression could not be null either at a place in front of it.
   *
   * @param from where that place begins in the file; what is asked behind it proves nothing
   */
  public static boolean is(Program program, TreePath expression, int from) {
    return new NonNull(program, DEPTH, from).is(expression);
  }

  private NonNull deeper() {
    return new NonNull(program, depth - 1, Integer.MAX_VALUE);
  }

  private Element element(TreePath path) {
    return program.trees().getElement(path);
  }

  private boolean is(TreePath path) {
    Tree tree = path.getLeaf();
    if (tree instanceof NewClassTree
        || tree instanceof NewArrayTree
        || tree instanceof LambdaExpressionTree
        || tree instanceof MemberReferenceTree
        || tree.getKind() == Tree.Kind.STRING_LITERAL) {
      return true;
    }
    if (tree instanceof ParenthesizedTree inner) {
      return is(new TreePath(path, inner.getExpression()));
    }
    if (tree instanceof TypeCastTree cast) {
      return is(new TreePath(path, cast.getExpression()));
    }
    if (tree instanceof AssignmentTree assignment) {
      return is(new TreePath(path, assignment.getExpression()));
    }
    if (tree instanceof ConditionalExpressionTree either) {
      return is(new TreePath(path, either.getTrueExpression()))
          && is(new TreePath(path, either.getFalseExpression()));
    }
    if (tree instanceof MethodInvocationTree call) {
      return element(new TreePath(path, call.getMethodSelect())) instanceof ExecutableElement method
          && givesObject(method);
    }
    return isSelf(tree) || names(path);
  }

  private static boolean isSelf(Tree tree) {
    return tree instanceof IdentifierTree name && name.getName().contentEquals("this")
        || tree instanceof MemberSelectTree select && select.getIdentifier().contentEquals("this");
  }

  /** Whether a name means a type, or a variable that holds an object there. */
  private boolean names(TreePath path) {
    Element named = element(path);
    if (!(named instanceof VariableElement variable)) {
      return named instanceof TypeElement;
    }
    return variable.getKind() == ElementKind.ENUM_CONSTANT
        || (variable.getKind().isField()
            ? isMadeOnce(variable)
            : SurelyThere.is(program, path, variable, from)
                || isGivenOnce(path, variable)
                || isGivenByAll(variable));
  }

  /** Whether a field is set once, to an object. */
  private boolean isMadeOnce(VariableElement field) {
    return field.getModifiers().contains(Modifier.FINAL)
        && !field.getModifiers().contains(Modifier.TRANSIENT)
        && depth > 0
        && isInitialised(field);
  }

  /** Whether a local variable has one value all the while, an object. */
  private boolean isGivenOnce(TreePath read, VariableElement local) {
    return depth > 0
        && local.getKind() == ElementKind.LOCAL_VARIABLE
        && SurelyThere.isUnwritten(program, read, local)
        && isInitialised(local);
  }

  private boolean isInitialised(VariableElement variable) {
    TreePath path = program.declaration(variable);
    return path != null
        && path.getLeaf() instanceof VariableTree tree
        && tree.getInitializer() != null
        && deeper().is(new TreePath(path, tree.getInitializer()));
  }

  /** Whether all who call what has a parameter give it an object. */
  private boolean isGivenByAll(VariableElement parameter) {
    return depth > 0
        && parameter.getKind() == ElementKind.PARAMETER
        && PrivateCalls.of(program, parameter)
            .filter(given -> given.stream().allMatch(deeper()::is))
            .isPresent();
  }

  private boolean givesObject(ExecutableElement method) {
    String type = method.getEnclosingElement().toString();
    if (type.equals("java.util.Objects")) {
      return method.getSimpleName().toString().startsWith("requireNonNull");
    }
    if (depth == 0 || !isLast(method)) {
      return false;
    }
    TreePath path = program.declaration(method);
    return path != null
        && path.getLeaf() instanceof MethodTree tree
        && tree.getBody() != null
        && Returns.in(new TreePath(path, tree.getBody())).stream().allMatch(deeper()::givesObject);
  }

  private boolean givesObject(TreePath returned) {
    ExpressionTree given = ((ReturnTree) returned.getLeaf()).getExpression();
    return given != null && is(new TreePath(returned, given));
  }

  /** Whether nothing overrides a method. */
  private boolean isLast(ExecutableElement method) {
    return method.getModifiers().contains(Modifier.STATIC)
        || Overriding.isFinal(method)
        || hasPrivateConstructors(method.getEnclosingElement())
            && program.declaration(method) != null
            && !Overriding.isOverridden(program, method);
  }

  /** Whether all that could extend a class stands in its file. */
  private static boolean hasPrivateConstructors(Element type) {
    return type.getKind() == ElementKind.CLASS
        && ElementFilter.constructorsIn(type.getEnclosedElements()).stream()
            .allMatch(each -> each.getModifiers().contains(Modifier.PRIVATE));
  }
}
