package paredown.refactor.operation.parameterfield;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Unit;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Values;
import paredown.refactor.use.Creation;

/** Traces objects that are asked back to the places that make them. */
final class Tracing {
  private final Program program;

  Tracing(Program program) {
    this.program = program;
  }

  /** A value that a variable is given, in a declaration or an assignment. */
  private record Set(UnitTrees trees, TreePath statement, TreePath value) {}

  /**
   * The places that make what an expression stands for; empty where others could, too.
   *
   * @param asked the object that is asked
   */
  List<TreePath> makers(UnitTrees trees, TreePath asked) {
    TreePath plain = plain(asked);
    if (plain.getLeaf() instanceof NewClassTree) {
      return List.of(plain);
    }
    Element variable = trees.element(plain);
    boolean known =
        variable != null
            && (variable.getKind() == ElementKind.LOCAL_VARIABLE
                || isOwnField(plain, variable) && isClosed(variable));
    if (!known) {
      return List.of();
    }
    List<TreePath> makers = new ArrayList<>();
    for (Set each : sets(variable)) {
      TreePath value = plain(each.value());
      if (!(value.getLeaf() instanceof NewClassTree)) {
        return List.of();
      }
      makers.add(value);
    }
    return makers;
  }

  private static boolean isOwnField(TreePath name, Element variable) {
    boolean own =
        name.getLeaf() instanceof IdentifierTree
            || name.getLeaf() instanceof MemberSelectTree select
                && select.getExpression().toString().equals("this");
    return own && variable.getKind() == ElementKind.FIELD;
  }

  private static TreePath plain(TreePath path) {
    return path.getLeaf() instanceof ParenthesizedTree inner
        ? plain(new TreePath(path, inner.getExpression()))
        : path;
  }

  /** Whether the sources show all that set a field. */
  private static boolean isClosed(Element field) {
    return field.getModifiers().contains(Modifier.PRIVATE)
        || field.getModifiers().contains(Modifier.FINAL);
  }

  /** All that set a variable; a step counts as one without a known value. */
  private List<Set> sets(Element variable) {
    List<Set> found = new ArrayList<>();
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitVariable(VariableTree tree, Void unused) {
          if (tree.getInitializer() != null && variable.equals(trees.element(getCurrentPath()))) {
            add(getCurrentPath(), tree.getInitializer());
          }
          return super.visitVariable(tree, null);
        }

        @Override
        public Void visitAssignment(AssignmentTree tree, Void unused) {
          if (is(tree.getVariable())) {
            add(getCurrentPath(), tree.getExpression());
          }
          return super.visitAssignment(tree, null);
        }

        @Override
        public Void visitUnary(UnaryTree tree, Void unused) {
          if (Values.isStep(tree.getKind()) && is(tree.getExpression())) {
            add(getCurrentPath(), tree);
          }
          return super.visitUnary(tree, null);
        }

        private boolean is(Tree target) {
          return variable.equals(trees.element(new TreePath(getCurrentPath(), target)));
        }

        private void add(TreePath at, ExpressionTree value) {
          found.add(new Set(trees, at, new TreePath(at, value)));
        }
      }.scan(unit.tree(), null);
    }
    return found;
  }

  /**
   * Whether a maker could give a value that a call gives, and it would be the same.
   *
   * @param asked the object that is asked, one that the maker makes
   */
  boolean isSame(GivenValue value, UnitTrees trees, TreePath asked, TreePath maker) {
    Element variable = trees.element(plain(asked));
    boolean ofField = variable != null && variable.getKind() == ElementKind.FIELD;
    if (value instanceof GivenValue.Local local) {
      return !ofField && isBefore(local.variable(), trees, maker) && sets(local).size() <= 1;
    }
    if (!(value instanceof GivenValue.OwnField own)) {
      return true;
    }
    boolean sameObject =
        trees.classAround(asked).equals(trees.classAround(maker))
            && !(ofField && variable.getModifiers().contains(Modifier.STATIC));
    if (!sameObject || !isClosed(own.field())) {
      return false;
    }
    List<Set> sets = sets(own.field());
    return isInBuilding(maker)
        ? sets.size() == 1 && isSetBefore(sets.get(0), trees, maker)
        : sets.stream().allMatch(each -> isInBuilding(each.statement()));
  }

  private List<Set> sets(GivenValue.Local local) {
    return sets(local.variable());
  }

  /** Whether a local variable is declared before a place, in a block around it. */
  private boolean isBefore(Element variable, UnitTrees trees, TreePath place) {
    for (TreePath at = place; at.getParentPath() != null; at = at.getParentPath()) {
      TreePath around = at.getParentPath();
      List<? extends Tree> all =
          around.getLeaf() instanceof BlockTree block
              ? block.getStatements()
              : around.getLeaf() instanceof MethodTree method
                  ? method.getParameters()
                  : around.getLeaf() instanceof LambdaExpressionTree lambda
                      ? lambda.getParameters()
                      : List.of();
      for (Tree each : all) {
        boolean earlier = trees.start(each) < trees.start(at.getLeaf());
        if (earlier
            && each instanceof VariableTree
            && variable.equals(trees.element(new TreePath(around, each)))) {
          return true;
        }
      }
      if (around.getLeaf() instanceof ClassTree) {
        return false;
      }
    }
    return false;
  }

  /** Whether a field has its one value when a constructor or an initialiser makes an object. */
  private boolean isSetBefore(Set set, UnitTrees trees, TreePath maker) {
    TreePath body = body(maker);
    Tree here = body == null ? null : body.getLeaf();
    int at = trees.start(maker.getLeaf());
    if (set.statement().getLeaf() instanceof VariableTree field) {
      boolean later = here instanceof MethodTree;
      return later || trees.start(field) < at;
    }
    return here instanceof MethodTree constructor
        && constructor.getReturnType() == null
        && constructor.getBody() != null
        && constructor.getBody().getStatements().stream()
            .filter(each -> trees.start(each) < at)
            .anyMatch(each -> isStatement(each, set.statement().getLeaf()));
  }

  private static boolean isStatement(StatementTree statement, Tree expression) {
    return statement instanceof ExpressionStatementTree plain
        && plain.getExpression() == expression;
  }

  /** Whether code runs while the object around it is made. */
  private static boolean isInBuilding(TreePath path) {
    TreePath body = body(path);
    return body == null
        || body.getLeaf() instanceof MethodTree method && method.getReturnType() == null;
  }

  /** The method or lambda that code runs in; null for the initialiser of a field. */
  private static TreePath body(TreePath path) {
    for (TreePath at = path; at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof MethodTree || at.getLeaf() instanceof LambdaExpressionTree) {
        return at;
      }
      if (at.getLeaf() instanceof ClassTree) {
        return null;
      }
    }
    return null;
  }

  /** A variable of a name and type that a place could give; empty where it has none. */
  Optional<GivenValue> standing(Creation creation, String name, TypeMirror type) {
    UnitTrees trees = creation.trees();
    for (TreePath at = creation.path(); at.getParentPath() != null; at = at.getParentPath()) {
      TreePath around = at.getParentPath();
      List<? extends Tree> all =
          around.getLeaf() instanceof BlockTree block
              ? block.getStatements()
              : around.getLeaf() instanceof MethodTree method
                  ? method.getParameters()
                  : around.getLeaf() instanceof ClassTree in ? in.getMembers() : List.of();
      for (Tree each : all) {
        boolean fits =
            each instanceof VariableTree variable
                && variable.getName().contentEquals(name)
                && (around.getLeaf() instanceof ClassTree
                    || trees.start(each) < trees.start(at.getLeaf()))
                && program
                    .types()
                    .isSameType(trees.element(new TreePath(around, each)).asType(), type);
        if (fits) {
          Element element = trees.element(new TreePath(around, each));
          return Optional.of(
              Symbols.isLocal(element)
                  ? new GivenValue.Local(element)
                  : new GivenValue.OwnField(element));
        }
      }
      if (around.getLeaf() instanceof ClassTree) {
        return Optional.empty();
      }
    }
    return Optional.empty();
  }
}
