package paredown.refactor.nulls;

import com.sun.source.tree.ArrayAccessTree;
import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.CatchTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.DoWhileLoopTree;
import com.sun.source.tree.EmptyStatementTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.ForLoopTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.tree.UnionTypeTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.tree.WhileLoopTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import paredown.refactor.code.UnitTrees;

/**
 * Tells whether code fails on null whatever else happens: whether it asks a variable's object for
 * something on every way through it, and lets nobody else look at it before.
 */
public final class Dereference {
  /** What a piece of code does first. */
  private enum First {
    ASKS,
    NOTHING,
    SOMETHING
  }

  private static final Set<String> NULL_CATCHERS =
      Set.of("NullPointerException", "RuntimeException", "Exception", "Throwable");

  private final UnitTrees trees;
  private final Predicate<TreePath> isObject;
  private final Predicate<Tree> isAsked;

  private Dereference(UnitTrees trees, Predicate<TreePath> isObject, Predicate<Tree> isAsked) {
    this.trees = trees;
    this.isAsked = isAsked;
    this.isObject = isObject;
  }

  /**
   * Whether a method's body asks an object at once.
   *
   * @param isObject tells the expressions that are the object
   */
  public static boolean isCertain(UnitTrees trees, TreePath body, Predicate<TreePath> isObject) {
    return new Dereference(trees, isObject, tree -> false).statement(body) == First.ASKS;
  }

  /**
   * Whether a method's body asks its own object at once.
   *
   * @param isAsked tells the expressions that ask it
   */
  public static boolean ownIsCertain(UnitTrees trees, TreePath body, Predicate<Tree> isAsked) {
    return new Dereference(trees, path -> false, isAsked).statement(body) == First.ASKS;
  }

  private static TreePath path(TreePath parent, Tree tree) {
    return new TreePath(parent, tree);
  }

  private First statements(TreePath parent, List<? extends StatementTree> statements) {
    for (StatementTree each : statements) {
      First first = statement(path(parent, each));
      if (first != First.NOTHING) {
        return first;
      }
    }
    return First.NOTHING;
  }

  private First statement(TreePath at) {
    Tree tree = at.getLeaf();
    if (tree instanceof BlockTree block) {
      return statements(at, block.getStatements());
    }
    if (tree instanceof ExpressionStatementTree each) {
      return expression(path(at, each.getExpression()));
    }
    if (tree instanceof VariableTree variable) {
      return variable.getInitializer() == null
          ? First.NOTHING
          : expression(path(at, variable.getInitializer()));
    }
    if (tree instanceof ReturnTree || tree instanceof ThrowTree) {
      Tree value =
          tree instanceof ReturnTree r ? r.getExpression() : ((ThrowTree) tree).getExpression();
      First first = value == null ? First.NOTHING : expression(path(at, value));
      return first == First.ASKS ? first : First.SOMETHING;
    }
    if (tree instanceof IfTree branch) {
      First condition = expression(path(at, branch.getCondition()));
      if (condition != First.NOTHING) {
        return condition;
      }
      First then = statement(path(at, branch.getThenStatement()));
      First otherwise =
          branch.getElseStatement() == null
              ? First.NOTHING
              : statement(path(at, branch.getElseStatement()));
      return both(then, otherwise);
    }
    return loopOrElse(at, tree);
  }

  private First loopOrElse(TreePath at, Tree tree) {
    if (tree instanceof EnhancedForLoopTree loop) {
      return asked(path(at, loop.getExpression()));
    }
    if (tree instanceof WhileLoopTree loop) {
      return certain(expression(path(at, loop.getCondition())));
    }
    if (tree instanceof DoWhileLoopTree loop) {
      return certain(statement(path(at, loop.getStatement())));
    }
    if (tree instanceof ForLoopTree loop) {
      First begin = statements(at, loop.getInitializer());
      return begin == First.NOTHING && loop.getCondition() != null
          ? certain(expression(path(at, loop.getCondition())))
          : certain(begin);
    }
    if (tree instanceof TryTree attempt) {
      return attempt(at, attempt);
    }
    if (tree instanceof SynchronizedTree lock) {
      return asked(path(at, lock.getExpression()));
    }
    if (tree instanceof SwitchTree choice) {
      return asked(path(at, choice.getExpression()));
    }
    if (tree instanceof ClassTree || tree instanceof EmptyStatementTree) {
      return First.NOTHING;
    }
    return First.SOMETHING;
  }

  /** What is tried fails as it would elsewhere where nothing catches it. */
  private First attempt(TreePath at, TryTree attempt) {
    if (attempt.getCatches().stream().anyMatch(Dereference::catchesNull)) {
      return First.SOMETHING;
    }
    for (Tree resource : attempt.getResources()) {
      First first =
          resource instanceof VariableTree
              ? statement(path(at, resource))
              : expression(path(at, resource));
      if (first != First.NOTHING) {
        return first;
      }
    }
    return statement(path(at, attempt.getBlock()));
  }

  private static boolean catchesNull(CatchTree caught) {
    Tree type = caught.getParameter().getType();
    List<? extends Tree> alternatives =
        type instanceof UnionTypeTree union ? union.getTypeAlternatives() : List.of(type);
    return alternatives.stream()
        .map(Tree::toString)
        .map(name -> name.substring(name.lastIndexOf('.') + 1))
        .anyMatch(NULL_CATCHERS::contains);
  }

  private static First certain(First first) {
    return first == First.ASKS ? first : First.SOMETHING;
  }

  private static First both(First one, First other) {
    if (one == First.SOMETHING || other == First.SOMETHING) {
      return First.SOMETHING;
    }
    return one == First.ASKS && other == First.ASKS ? First.ASKS : First.NOTHING;
  }

  /** An expression whose value is asked for something next. */
  private First asked(TreePath expression) {
    First first = expression(expression);
    return first == First.NOTHING ? isObject(expression) ? First.ASKS : First.SOMETHING : first;
  }

  private boolean isObject(TreePath expression) {
    TreePath at = expression;
    while (at.getLeaf() instanceof ParenthesizedTree inner) {
      at = path(at, inner.getExpression());
    }
    return isObject.test(at);
  }

  private First all(TreePath parent, List<? extends Tree> expressions) {
    for (Tree each : expressions) {
      First first = expression(path(parent, each));
      if (first != First.NOTHING) {
        return first;
      }
    }
    return First.NOTHING;
  }

  private First expression(TreePath at) {
    Tree tree = at.getLeaf();
    if (isAsked.test(tree)) {
      return First.ASKS;
    }
    if (tree instanceof ParenthesizedTree inner) {
      return expression(path(at, inner.getExpression()));
    }
    if (tree instanceof TypeCastTree cast) {
      return expression(path(at, cast.getExpression()));
    }
    if (tree instanceof InstanceOfTree test) {
      return expression(path(at, test.getExpression()));
    }
    if (tree instanceof MemberSelectTree select) {
      return select(at, select);
    }
    if (tree instanceof MethodInvocationTree call) {
      return call(at, call);
    }
    if (tree instanceof MemberReferenceTree reference) {
      return isObject(path(at, reference.getQualifierExpression()))
          ? First.ASKS
          : expression(path(at, reference.getQualifierExpression()));
    }
    return operator(at, tree);
  }

  private First select(TreePath at, MemberSelectTree select) {
    Element member = trees.element(at);
    TreePath object = path(at, select.getExpression());
    boolean isStatic = member != null && member.getModifiers().contains(Modifier.STATIC);
    return isObject(object) && !isStatic ? First.ASKS : expression(object);
  }

  private First call(TreePath at, MethodInvocationTree call) {
    TreePath selected = path(at, call.getMethodSelect());
    Element method = trees.element(selected);
    boolean asks = false;
    if (call.getMethodSelect() instanceof MemberSelectTree select) {
      TreePath object = path(selected, select.getExpression());
      asks = isObject(object) && method != null && !method.getModifiers().contains(Modifier.STATIC);
      First first = expression(object);
      if (first != First.NOTHING) {
        return first;
      }
    }
    First first = all(at, call.getArguments());
    if (first != First.NOTHING) {
      return first;
    }
    boolean required =
        method != null
            && method.getSimpleName().contentEquals("requireNonNull")
            && isObject(path(at, call.getArguments().get(0)));
    if (asks || required || isAsked.test(call.getMethodSelect())) {
      return First.ASKS;
    }
    return passesOn(at, call.getArguments()) ? First.SOMETHING : First.NOTHING;
  }

  /** Whether the object is handed to code that may look whether it is null. */
  private boolean passesOn(TreePath at, List<? extends ExpressionTree> arguments) {
    return arguments.stream().anyMatch(argument -> isObject(path(at, argument)));
  }

  private First operator(TreePath at, Tree tree) {
    if (tree instanceof BinaryTree binary) {
      boolean lazy =
          tree.getKind() == Tree.Kind.CONDITIONAL_AND || tree.getKind() == Tree.Kind.CONDITIONAL_OR;
      First left = expression(path(at, binary.getLeftOperand()));
      if (left != First.NOTHING) {
        return left;
      }
      First right = expression(path(at, binary.getRightOperand()));
      return lazy && right == First.ASKS ? First.NOTHING : right;
    }
    if (tree instanceof ConditionalExpressionTree choice) {
      First condition = expression(path(at, choice.getCondition()));
      return condition != First.NOTHING
          ? condition
          : both(
              expression(path(at, choice.getTrueExpression())),
              expression(path(at, choice.getFalseExpression())));
    }
    if (tree instanceof AssignmentTree assignment) {
      First place =
          assignment.getVariable() instanceof IdentifierTree
              ? First.NOTHING
              : expression(path(at, assignment.getVariable()));
      return place == First.NOTHING ? expression(path(at, assignment.getExpression())) : place;
    }
    if (tree instanceof UnaryTree unary) {
      return expression(path(at, unary.getExpression()));
    }
    if (tree instanceof CompoundAssignmentTree update) {
      return all(at, List.of(update.getVariable(), update.getExpression()));
    }
    if (tree instanceof ArrayAccessTree access) {
      return all(at, List.of(access.getExpression(), access.getIndex()));
    }
    if (tree instanceof NewClassTree made) {
      First first = all(at, made.getArguments());
      return first == First.NOTHING && passesOn(at, made.getArguments()) ? First.SOMETHING : first;
    }
    boolean plain =
        tree instanceof LiteralTree
            || tree instanceof IdentifierTree
            || tree instanceof LambdaExpressionTree;
    return plain ? First.NOTHING : First.SOMETHING;
  }
}
