package paredown.refactor.operation.builder;

import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.refactor.use.OwnerClass;

/**
 * A constructor as the longest one sees it: for each parameter of that what it gives in the end,
 * through those that it calls.
 *
 * @param given in the order of the longest one's parameters
 */
record Shorter(OwnerClass.Method constructor, List<Given> given) {

  /**
   * What is given for a parameter.
   *
   * @param own the position of the constructor's own parameter that it passes on; -1 for none
   * @param value the expression that it gives besides; null where it passes one on
   */
  record Given(int own, TreePath value) {}

  /** The longest one itself. */
  static Shorter longest(OwnerClass.Method constructor) {
    List<Given> given = new ArrayList<>();
    for (int i = 0; i < constructor.element().getParameters().size(); i++) {
      given.add(new Given(i, null));
    }
    return new Shorter(constructor, given);
  }

  /**
   * A constructor that only calls another with what it takes and with values that nothing changes;
   * empty where it does more.
   *
   * @param known those that are known already, by their elements
   */
  static Optional<Shorter> of(
      OwnerClass owner, OwnerClass.Method constructor, Map<ExecutableElement, Shorter> known) {
    Program program = owner.program();
    boolean alone = constructor.tree().getBody().getStatements().size() == 1;
    if (!alone || !constructor.callsAnother() || constructor.element().isVarArgs()) {
      return Optional.empty();
    }
    TreePath body = new TreePath(constructor.path(), constructor.tree().getBody());
    TreePath statement = new TreePath(body, constructor.tree().getBody().getStatements().get(0));
    MethodInvocationTree call =
        (MethodInvocationTree) ((ExpressionStatementTree) statement.getLeaf()).getExpression();
    TreePath at = new TreePath(statement, call);
    Shorter next = known.get(owner.trees().element(new TreePath(at, call.getMethodSelect())));
    if (next == null) {
      return Optional.empty();
    }
    List<Given> passed = new ArrayList<>();
    for (ExpressionTree each : call.getArguments()) {
      TreePath argument = new TreePath(at, each);
      int own =
          each instanceof IdentifierTree
              ? constructor.element().getParameters().indexOf(owner.trees().element(argument))
              : -1;
      boolean free =
          Shift.isInert(program, new CalmCalls(program), argument) && !namesLocal(owner, argument);
      if (own < 0 && !free) {
        return Optional.empty();
      }
      passed.add(new Given(own, own < 0 ? argument : null));
    }
    List<Given> given =
        next.given().stream()
            .map(each -> each.value() != null ? each : passed.get(each.own()))
            .toList();
    return Optional.of(new Shorter(constructor, given));
  }

  private static boolean namesLocal(OwnerClass owner, TreePath value) {
    boolean[] found = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        Element element = owner.trees().element(getCurrentPath());
        found[0] |= element != null && Symbols.isLocal(element);
        return null;
      }
    }.scan(value, null);
    return found[0];
  }

  /** The position of the longest one's parameter for which a value is given. */
  int position(TreePath value) {
    for (int i = 0; i < given.size(); i++) {
      if (given.get(i).value() == value) {
        return i;
      }
    }
    throw new IllegalArgumentException("not given: " + value.getLeaf());
  }

  /** The position of the longest one's parameter that an own one ends in; -1 where it is lost. */
  int target(int own) {
    for (int i = 0; i < given.size(); i++) {
      if (given.get(i).own() == own) {
        return i;
      }
    }
    return -1;
  }

  /** Whether each own parameter ends in one of the longest, which has its type. */
  boolean fits(Program program, OwnerClass.Method longest) {
    List<? extends VariableElement> own = constructor.element().getParameters();
    for (int i = 0; i < own.size(); i++) {
      int position = i;
      long times = given.stream().filter(each -> each.own() == position).count();
      boolean same =
          times == 1
              && program
                  .types()
                  .isSameType(
                      own.get(i).asType(),
                      longest.element().getParameters().get(target(i)).asType());
      if (!same) {
        return false;
      }
    }
    return true;
  }
}
