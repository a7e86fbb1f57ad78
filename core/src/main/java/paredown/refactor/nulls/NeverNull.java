package paredown.refactor.nulls;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.refactor.code.Writes;
import paredown.refactor.startup.EarlyRun;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/**
 * Tells which fields hold an object whenever a method runs: every way to construct their owner
 * gives them one before the method could be called, and nobody gives them null later.
 */
public final class NeverNull {
  private final OwnerClass owner;
  private final Program program;
  private final EarlyRun early;

  public NeverNull(OwnerClass owner, OwnerClass.Method method) {
    this.owner = owner;
    this.program = owner.program();
    this.early = new EarlyRun(owner, method);
  }

  public boolean is(VariableElement variable) {
    OwnerClass.Field field =
        owner.fields().stream()
            .filter(each -> each.element().equals(variable))
            .findFirst()
            .orElse(null);
    boolean plain =
        field != null
            && !field.is(Modifier.TRANSIENT)
            && (field.is(Modifier.FINAL) || staysObject(field))
            && (owner.element().getKind() == ElementKind.CLASS
                || owner.element().getKind() == ElementKind.ENUM)
            && early.isQuietAbove()
            && initialisersAreQuiet(field);
    if (!plain) {
      return false;
    }
    if (field.tree().getInitializer() != null) {
      TreePath value = new TreePath(field.path(), field.tree().getInitializer());
      return isObject(value) && early.isQuietValue(value);
    }
    List<OwnerClass.Method> makers =
        owner.constructors().stream().filter(each -> !each.callsAnother()).toList();
    return !makers.isEmpty() && makers.stream().allMatch(maker -> isGiven(variable, maker));
  }

  private boolean isObject(TreePath value) {
    return NonNull.is(program, value);
  }

  /** Whether only its file writes to a field, and objects only. */
  private boolean staysObject(OwnerClass.Field field) {
    return field.is(Modifier.PRIVATE)
        && MemberUses.of(program, Map.of(field.element(), field.key())).stream()
            .map(MemberUses.MemberUse::path)
            .map(TreePath::getParentPath)
            .filter(above -> above.getLeaf() instanceof AssignmentTree)
            .allMatch(above -> isWrittenObject(above, field));
  }

  private boolean isWrittenObject(TreePath above, OwnerClass.Field field) {
    AssignmentTree assignment = (AssignmentTree) above.getLeaf();
    Element written = program.trees().getElement(new TreePath(above, assignment.getVariable()));
    TreePath value = new TreePath(above, assignment.getExpression());
    return !field.element().equals(written) || isObject(value) || isRequiredLater(value);
  }

  /** Whether a value is a parameter that its constructor fails without. */
  private boolean isRequiredLater(TreePath value) {
    return owner.constructors().stream()
        .map(each -> new TreePath(each.path(), each.tree().getBody()))
        .anyMatch(body -> isRequired(value, body));
  }

  /** Whether the method could not run before the field has its value by what is done for it. */
  private boolean initialisersAreQuiet(OwnerClass.Field field) {
    boolean made = field.tree().getInitializer() != null;
    List<TreePath> before = new ArrayList<>();
    for (OwnerClass.Field each : owner.fields()) {
      boolean earlier = !made || each.declared() < field.declared();
      if (each.startsWithObject() && earlier) {
        before.add(new TreePath(each.path(), each.tree().getInitializer()));
      }
    }
    for (OwnerClass.Initialiser block : owner.initialisers()) {
      boolean earlier = !made || owner.trees().start(block.tree()) < field.declared();
      if (!block.tree().isStatic() && earlier) {
        before.add(block.path());
      }
    }
    return before.stream().allMatch(early::isQuiet);
  }

  /** What a statement of a constructor does for a field. */
  private enum Gift {
    OBJECT,
    NOTHING,
    UNSURE
  }

  /** Whether a constructor sets the field to an object before the method could run. */
  private boolean isGiven(VariableElement field, OwnerClass.Method constructor) {
    TreePath body = new TreePath(constructor.path(), constructor.tree().getBody());
    return gift(field, body, body) == Gift.OBJECT;
  }

  private Gift gift(VariableElement field, TreePath statement, TreePath body) {
    Tree tree = statement.getLeaf();
    if (tree instanceof BlockTree block) {
      return inTurn(field, statement, block.getStatements(), body);
    }
    if (tree instanceof IfTree branch
        && early.isQuiet(new TreePath(statement, branch.getCondition()))
        && branch.getElseStatement() != null) {
      Gift then = gift(field, new TreePath(statement, branch.getThenStatement()), body);
      Gift otherwise = gift(field, new TreePath(statement, branch.getElseStatement()), body);
      return then == otherwise ? then : Gift.UNSURE;
    }
    if (tree instanceof ExpressionStatementTree expression
        && expression.getExpression() instanceof AssignmentTree assignment) {
      TreePath set = new TreePath(statement, assignment);
      if (field.equals(owner.trees().element(new TreePath(set, assignment.getVariable())))) {
        TreePath value = new TreePath(set, assignment.getExpression());
        boolean object = isObject(value) || isRequired(value, body);
        return object && early.isQuietValue(value) ? Gift.OBJECT : Gift.UNSURE;
      }
    }
    return early.isQuiet(statement) ? Gift.NOTHING : Gift.UNSURE;
  }

  private Gift inTurn(
      VariableElement field,
      TreePath around,
      List<? extends StatementTree> statements,
      TreePath body) {
    for (StatementTree each : statements) {
      Gift gift = gift(field, new TreePath(around, each), body);
      if (gift != Gift.NOTHING) {
        return gift;
      }
    }
    return Gift.NOTHING;
  }

  /** Whether a constructor fails where a parameter of it is null. */
  private boolean isRequired(TreePath value, TreePath body) {
    Element parameter = owner.trees().element(value);
    return parameter != null
        && parameter.getKind() == ElementKind.PARAMETER
        && !Writes.in(owner.trees(), body).contains(parameter)
        && Dereference.isCertain(
            owner.trees(), body, path -> parameter.equals(owner.trees().element(path)));
  }
}
