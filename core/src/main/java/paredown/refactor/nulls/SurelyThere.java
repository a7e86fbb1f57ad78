package paredown.refactor.nulls;

import com.sun.source.tree.ArrayAccessTree;
import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.BreakTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ContinueTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
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
import com.sun.source.tree.VariableTree;
import com.sun.source.tree.WhileLoopTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.refactor.code.Writes;

/**
 * Tells whether a local variable or parameter, written no more, holds an object where it is read:
 * what always runs before has asked it for something, or has gone elsewhere where it was null.
 */
final class SurelyThere {
  private final Program program;
  private final VariableElement variable;
  private final int from;

  private SurelyThere(Program program, VariableElement variable, int from) {
    this.program = program;
    this.variable = variable;
    this.from = from;
  }

  /**
   * Whether a variable holds an object where a name reads it, or would read it from a place in
   * front of that.
   *
   * @param from where that place begins in the file: what stands behind it proves nothing
   */
  static boolean is(Program program, TreePath read, VariableElement variable, int from) {
    return isUnwritten(program, read, variable)
        && (variable.getKind() == ElementKind.EXCEPTION_PARAMETER
            || isOfInstanceOf(program, variable)
            || new SurelyThere(program, variable, from).isBefore(read));
  }

  /** Whether a pattern binds a variable that lets no null pass. */
  private static boolean isOfInstanceOf(Program program, VariableElement variable) {
    TreePath bound =
        variable.getKind() == ElementKind.BINDING_VARIABLE ? program.declaration(variable) : null;
    return bound != null
        && bound.getParentPath().getParentPath().getLeaf() instanceof InstanceOfTree;
  }

  /** Whether nothing around a name that reads a variable writes to it but its declaration. */
  static boolean isUnwritten(Program program, TreePath read, VariableElement variable) {
    TreePath around = read;
    while (around.getParentPath().getParentPath() != null
        && !(around.getLeaf() instanceof MethodTree method
            && Objects.equals(
                program.trees().getElement(around), variable.getEnclosingElement()))) {
      around = around.getParentPath();
    }
    return !Writes.in(program, around).contains(variable);
  }

  private boolean isBefore(TreePath read) {
    for (TreePath at = read; at.getParentPath() != null; at = at.getParentPath()) {
      if (isProvenBy(at.getParentPath(), at.getLeaf())) {
        return true;
      }
    }
    return false;
  }

  /** Whether what stands around code, and runs before it, leaves no null. */
  private boolean isProvenBy(TreePath around, Tree inside) {
    Tree tree = around.getLeaf();
    if (tree instanceof BlockTree block) {
      return before(around, block.getStatements(), inside);
    }
    if (tree instanceof CaseTree label && label.getStatements() != null) {
      return before(around, label.getStatements(), inside);
    }
    if (!isInFront(around, inside)) {
      return false;
    }
    if (tree instanceof IfTree branch) {
      return branch.getThenStatement() == inside && implies(branch.getCondition(), true, around)
          || branch.getElseStatement() == inside && implies(branch.getCondition(), false, around);
    }
    if (tree instanceof ConditionalExpressionTree choice) {
      return choice.getTrueExpression() == inside && implies(choice.getCondition(), true, around)
          || choice.getFalseExpression() == inside && implies(choice.getCondition(), false, around);
    }
    if (tree instanceof WhileLoopTree loop) {
      return loop.getStatement() == inside && implies(loop.getCondition(), true, around);
    }
    return tree instanceof BinaryTree binary
        && binary.getRightOperand() == inside
        && (tree.getKind() == Tree.Kind.CONDITIONAL_AND
                && implies(binary.getLeftOperand(), true, around)
            || tree.getKind() == Tree.Kind.CONDITIONAL_OR
                && implies(binary.getLeftOperand(), false, around));
  }

  /** Whether what is around code, up to it, stands in front of the place. */
  private boolean isInFront(TreePath around, Tree inside) {
    return start(around, inside) <= from;
  }

  private long start(TreePath around, Tree tree) {
    return program.trees().getSourcePositions().getStartPosition(around.getCompilationUnit(), tree);
  }

  private boolean before(TreePath around, List<? extends StatementTree> statements, Tree inside) {
    return statements.stream()
        .takeWhile(each -> each != inside && start(around, each) < from)
        .anyMatch(each -> proves(new TreePath(around, each)));
  }

  /** Whether a statement that ends as usual leaves no null. */
  private boolean proves(TreePath at) {
    Tree tree = at.getLeaf();
    if (tree instanceof BlockTree block) {
      return block.getStatements().stream().anyMatch(each -> proves(new TreePath(at, each)));
    }
    if (tree instanceof IfTree branch) {
      return asks(branch.getCondition(), at)
          || leaves(branch.getThenStatement()) && implies(branch.getCondition(), false, at)
          || branch.getElseStatement() != null
              && proves(new TreePath(at, branch.getThenStatement()))
              && proves(new TreePath(at, branch.getElseStatement()));
    }
    if (tree instanceof TryTree attempt) {
      return attempt.getCatches().isEmpty() && proves(new TreePath(at, attempt.getBlock()));
    }
    if (tree instanceof SynchronizedTree lock) {
      return isAsked(lock.getExpression(), at) || proves(new TreePath(at, lock.getBlock()));
    }
    if (tree instanceof EnhancedForLoopTree loop) {
      return isAsked(loop.getExpression(), at);
    }
    if (tree instanceof SwitchTree choice) {
      return isAsked(choice.getExpression(), at);
    }
    if (tree instanceof WhileLoopTree loop) {
      return asks(loop.getCondition(), at);
    }
    if (tree instanceof VariableTree local) {
      return asks(local.getInitializer(), at);
    }
    return tree instanceof ExpressionStatementTree each && asks(each.getExpression(), at);
  }

  /** Whether a statement never goes on to the next. */
  private static boolean leaves(StatementTree statement) {
    if (statement instanceof BlockTree block) {
      int last = block.getStatements().size() - 1;
      return last >= 0 && leaves(block.getStatements().get(last));
    }
    return statement instanceof ReturnTree
        || statement instanceof ThrowTree
        || statement instanceof ContinueTree
        || statement instanceof BreakTree;
  }

  /** Whether a condition that comes out so leaves no null. */
  private boolean implies(ExpressionTree condition, boolean outcome, TreePath around) {
    TreePath at = new TreePath(around, condition);
    if (condition instanceof ParenthesizedTree inner) {
      return implies(inner.getExpression(), outcome, at);
    }
    if (condition instanceof UnaryTree not && not.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
      return implies(not.getExpression(), !outcome, at);
    }
    if (condition instanceof InstanceOfTree test) {
      return outcome && isIt(new TreePath(at, test.getExpression()));
    }
    if (condition instanceof BinaryTree binary) {
      return isProven(binary, outcome, at);
    }
    return asks(condition, around);
  }

  private boolean isProven(BinaryTree binary, boolean outcome, TreePath at) {
    Tree.Kind kind = binary.getKind();
    if (kind == Tree.Kind.CONDITIONAL_AND || kind == Tree.Kind.CONDITIONAL_OR) {
      boolean both = outcome == (kind == Tree.Kind.CONDITIONAL_AND);
      boolean left = implies(binary.getLeftOperand(), outcome, at);
      boolean right = implies(binary.getRightOperand(), outcome, at);
      return both ? left || right : left && right || asks(binary.getLeftOperand(), at);
    }
    boolean compares = kind == (outcome ? Tree.Kind.NOT_EQUAL_TO : Tree.Kind.EQUAL_TO);
    boolean withNull =
        isNull(binary.getLeftOperand()) && isIt(new TreePath(at, binary.getRightOperand()))
            || isNull(binary.getRightOperand()) && isIt(new TreePath(at, binary.getLeftOperand()));
    return compares && withNull
        || asks(binary.getLeftOperand(), at)
        || asks(binary.getRightOperand(), at);
  }

  private static boolean isNull(Tree tree) {
    return tree.getKind() == Tree.Kind.NULL_LITERAL;
  }

  private boolean isIt(TreePath at) {
    if (at.getLeaf() instanceof ParenthesizedTree inner) {
      return isIt(new TreePath(at, inner.getExpression()));
    }
    return at.getLeaf() instanceof IdentifierTree
        && variable.equals(program.trees().getElement(at));
  }

  /** Whether an expression is the variable, which is asked next, or asks it itself. */
  private boolean isAsked(ExpressionTree expression, TreePath around) {
    return isIt(new TreePath(around, expression)) || asks(expression, around);
  }

  /** Whether an expression that gives a value has asked the variable for something. */
  private boolean asks(ExpressionTree expression, TreePath around) {
    if (expression == null) {
      return false;
    }
    TreePath at = new TreePath(around, expression);
    if (expression instanceof MethodInvocationTree call) {
      return asks(call.getMethodSelect(), at)
          || call.getArguments().stream().anyMatch(each -> asks(each, at))
          || requires(call, at);
    }
    if (expression instanceof MemberSelectTree select) {
      return isIt(new TreePath(at, select.getExpression())) && !isStatic(at)
          || asks(select.getExpression(), at);
    }
    return parts(expression).anyMatch(each -> asks(each, at));
  }

  private boolean isStatic(TreePath member) {
    var element = program.trees().getElement(member);
    return element == null || element.getModifiers().contains(Modifier.STATIC);
  }

  private boolean requires(MethodInvocationTree call, TreePath at) {
    var method = program.trees().getElement(new TreePath(at, call.getMethodSelect()));
    return method != null
        && method.getSimpleName().contentEquals("requireNonNull")
        && method.getEnclosingElement().toString().equals("java.util.Objects")
        && isIt(new TreePath(at, call.getArguments().get(0)));
  }

  /** The parts of an expression that are evaluated whatever they come to. */
  private static Stream<ExpressionTree> parts(ExpressionTree expression) {
    if (expression instanceof ParenthesizedTree inner) {
      return Stream.of(inner.getExpression());
    }
    if (expression instanceof TypeCastTree cast) {
      return Stream.of(cast.getExpression());
    }
    if (expression instanceof InstanceOfTree test) {
      return Stream.of(test.getExpression());
    }
    if (expression instanceof UnaryTree unary) {
      return Stream.of(unary.getExpression());
    }
    if (expression instanceof AssignmentTree assignment) {
      return Stream.of(assignment.getVariable(), assignment.getExpression());
    }
    if (expression instanceof CompoundAssignmentTree update) {
      return Stream.of(update.getVariable(), update.getExpression());
    }
    if (expression instanceof ArrayAccessTree access) {
      return Stream.of(access.getExpression(), access.getIndex());
    }
    if (expression instanceof ConditionalExpressionTree choice) {
      return Stream.of(choice.getCondition());
    }
    if (expression instanceof NewClassTree made) {
      return made.getArguments().stream().map(each -> each);
    }
    if (expression instanceof BinaryTree binary) {
      boolean lazy =
          binary.getKind() == Tree.Kind.CONDITIONAL_AND
              || binary.getKind() == Tree.Kind.CONDITIONAL_OR;
      return lazy
          ? Stream.of(binary.getLeftOperand())
          : Stream.of(binary.getLeftOperand(), binary.getRightOperand());
    }
    return Stream.empty();
  }
}
