package paredown.refactor.nulls;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.code.Returns;
import paredown.refactor.use.MemberUses;

/**
 * Tells whether the sources themselves say that something may be null: they leave null there, or
 * check for it. Where they do neither, that it is there is an assumption like few others.
 */
public final class NullDoubt {
  /** Methods of the platform that give null where something is missing. */
  private static final Set<String> GIVING_NULL =
      Set.of(
          "get",
          "put",
          "remove",
          "poll",
          "peek",
          "pollFirst",
          "pollLast",
          "peekFirst",
          "peekLast",
          "getProperty",
          "getenv",
          "getResource",
          "getResourceAsStream",
          "readLine",
          "floorKey",
          "higherKey",
          "lowerKey",
          "ceilingKey",
          "floorEntry",
          "getMessage",
          "getCause",
          "console",
          "getParent",
          "getName",
          "listFiles",
          "list",
          "putIfAbsent",
          "getAnnotation",
          "orElse");

  private final Program program;
  private final Set<Element> open = new HashSet<>();

  private NullDoubt(Program program) {
    this.program = program;
  }

  /** Whether the sources say that an expression may be null. */
  public static boolean isStated(Program program, TreePath expression) {
    return new NullDoubt(program).mayBeNull(expression);
  }

  /**
   * Whether the sources say that an expression may be null at a place in front of it.
   *
   * @param from where that place begins in the file
   */
  public static boolean isStated(Program program, TreePath expression, int from) {
    return new NullDoubt(program).mayBeNull(expression, from);
  }

  /** Whether the sources say that a variable may be null. */
  public static boolean isStated(Program program, VariableElement variable) {
    return new NullDoubt(program).mayBeNull(variable);
  }

  private boolean mayBeNull(TreePath path) {
    return mayBeNull(path, Integer.MAX_VALUE);
  }

  private boolean mayBeNull(TreePath path, int from) {
    Tree tree = path.getLeaf();
    if (tree.getKind() == Tree.Kind.NULL_LITERAL) {
      return true;
    }
    if (NonNull.is(program, path, from)) {
      return false;
    }
    if (tree instanceof ParenthesizedTree inner) {
      return mayBeNull(new TreePath(path, inner.getExpression()), from);
    }
    if (tree instanceof TypeCastTree cast) {
      return mayBeNull(new TreePath(path, cast.getExpression()), from);
    }
    if (tree instanceof AssignmentTree assignment) {
      return mayBeNull(new TreePath(path, assignment.getExpression()), from);
    }
    if (tree instanceof ConditionalExpressionTree either) {
      return mayBeNull(new TreePath(path, either.getTrueExpression()), from)
          || mayBeNull(new TreePath(path, either.getFalseExpression()), from);
    }
    if (tree instanceof MethodInvocationTree call) {
      Element method = program.trees().getElement(new TreePath(path, call.getMethodSelect()));
      return method instanceof ExecutableElement executable && gives(executable);
    }
    return program.trees().getElement(path) instanceof VariableElement variable
        && mayBeNull(variable);
  }

  private boolean gives(ExecutableElement method) {
    if (isMarked(method)) {
      return true;
    }
    boolean declared =
        method.getEnclosingElement() instanceof TypeElement type && program.declares(type);
    if (!declared) {
      return GIVING_NULL.contains(method.getSimpleName().toString());
    }
    if (!open.add(method) || program.isSkeleton(method) && open.size() > 3) {
      return false;
    }
    TreePath path = program.declaration(method);
    return path != null
        && path.getLeaf() instanceof MethodTree tree
        && tree.getBody() != null
        && Returns.in(new TreePath(path, tree.getBody())).stream()
            .filter(each -> ((ReturnTree) each.getLeaf()).getExpression() != null)
            .map(each -> new TreePath(each, ((ReturnTree) each.getLeaf()).getExpression()))
            .anyMatch(this::mayBeNull);
  }

  /** Whether an annotation says so, whichever. */
  private static boolean isMarked(Element element) {
    return element.getAnnotationMirrors().stream()
        .map(each -> each.getAnnotationType().asElement().getSimpleName().toString())
        .anyMatch(name -> name.matches("(?i).*(nullable|checkfornull|maybenull).*"));
  }

  private boolean mayBeNull(VariableElement variable) {
    if (isMarked(variable)) {
      return true;
    }
    if (!open.add(variable)) {
      return false;
    }
    TreePath declared =
        variable.getKind().isField() && program.isSkeleton(variable)
            ? null
            : program.declaration(variable);
    if (declared == null) {
      return false;
    }
    if (declared.getLeaf() instanceof VariableTree tree
        && tree.getInitializer() != null
        && mayBeNull(new TreePath(declared, tree.getInitializer()))) {
      return true;
    }
    TreePath around = variable.getKind().isField() ? unit(declared) : body(declared);
    return isHandledAsNull(variable, around) || isGivenNull(variable);
  }

  private static TreePath unit(TreePath path) {
    return new TreePath(path.getCompilationUnit());
  }

  private static TreePath body(TreePath declared) {
    TreePath at = declared.getParentPath();
    while (at.getParentPath() != null
        && !(at.getLeaf() instanceof MethodTree)
        && !(at.getLeaf() instanceof LambdaExpressionTree)
        && !(at.getLeaf() instanceof ClassTree)) {
      at = at.getParentPath();
    }
    return at;
  }

  /** Whether code compares a variable with null, or writes what may be null to it. */
  private boolean isHandledAsNull(VariableElement variable, TreePath around) {
    boolean[] found = {false};
    new TreePathScanner<Void, Void>() {
      private boolean is(ExpressionTree expression) {
        return variable.equals(
            program.trees().getElement(new TreePath(getCurrentPath(), expression)));
      }

      @Override
      public Void visitBinary(BinaryTree tree, Void unused) {
        boolean compares =
            tree.getKind() == Tree.Kind.EQUAL_TO || tree.getKind() == Tree.Kind.NOT_EQUAL_TO;
        boolean left = tree.getLeftOperand().getKind() == Tree.Kind.NULL_LITERAL;
        boolean right = tree.getRightOperand().getKind() == Tree.Kind.NULL_LITERAL;
        found[0] |=
            compares && (left && is(tree.getRightOperand()) || right && is(tree.getLeftOperand()));
        return super.visitBinary(tree, null);
      }

      @Override
      public Void visitAssignment(AssignmentTree tree, Void unused) {
        if (is(tree.getVariable())) {
          found[0] |= mayBeNull(new TreePath(getCurrentPath(), tree.getExpression()));
        }
        return super.visitAssignment(tree, null);
      }
    }.scan(around, null);
    return found[0];
  }

  /** Whether somebody calls what has a parameter with the word null in its place. */
  private boolean isGivenNull(VariableElement parameter) {
    if (!(parameter.getEnclosingElement() instanceof ExecutableElement method)) {
      return false;
    }
    int index = method.getParameters().indexOf(parameter);
    if (index < 0) {
      return false;
    }
    String name = method.getSimpleName().toString();
    boolean constructor = name.equals("<init>");
    String word = constructor ? method.getEnclosingElement().getSimpleName().toString() : name;
    Sources sources = program.sources();
    SourceIndex indexed = sources.index();
    int count = method.getParameters().size();
    return indexed.filesWith(List.of(word)).stream()
            .map(sources::text)
            .anyMatch(text -> new NullArgument(word, index, count).isIn(text))
        || isGivenByAny(method, index);
  }

  /** Whether a call in these files gives what may be null. */
  private boolean isGivenByAny(ExecutableElement method, int index) {
    String key = program.symbols().key(method);
    if (key == null) {
      return false;
    }
    return MemberUses.of(program, java.util.Map.of(method, key)).stream()
        .map(use -> use.path().getParentPath())
        .filter(path -> path.getLeaf() instanceof MethodInvocationTree)
        .filter(path -> ((MethodInvocationTree) path.getLeaf()).getArguments().size() > index)
        .map(
            path ->
                new TreePath(
                    path, ((MethodInvocationTree) path.getLeaf()).getArguments().get(index)))
        .anyMatch(this::mayBeNull);
  }
}
