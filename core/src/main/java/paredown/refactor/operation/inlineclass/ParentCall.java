package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Constants;
import paredown.refactor.code.ConstructorCall;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.OwnerClass;

/**
 * The call of a superclass's constructor that is all a constructor does: it passes on what it is
 * given, in that order, and adds constants.
 *
 * @param constructor the one that it calls
 * @param arguments what it gives: an expression for each constant, and null for what it was given
 */
record ParentCall(ExecutableElement constructor, List<TreePath> arguments) {

  ParentCall {
    arguments = Collections.unmodifiableList(new ArrayList<>(arguments));
  }

  /** Whether it gives just what it was given. */
  boolean isSame() {
    return arguments.stream().allMatch(each -> each == null);
  }

  /** What a class does that declares no constructor. */
  static ParentCall without(OwnerClass owner, TypeElement parent) {
    return ElementFilter.constructorsIn(parent.getEnclosedElements()).stream()
        .filter(each -> each.getParameters().isEmpty())
        .findFirst()
        .map(each -> new ParentCall(each, List.of()))
        .orElseThrow(() -> refused(owner, owner.trees().place(owner.tree())));
  }

  /**
   * What a constructor does.
   *
   * @throws Refused where it does more
   */
  static ParentCall of(OwnerClass owner, OwnerClass.Method method) {
    UnitTrees trees = owner.trees();
    TreePath body = new TreePath(method.path(), method.tree().getBody());
    List<? extends StatementTree> statements = method.tree().getBody().getStatements();
    if (statements.size() != 1 || !ConstructorCall.isSuper(statements.get(0))) {
      throw refused(owner, trees.place(method.tree()));
    }
    TreePath statement = new TreePath(body, statements.get(0));
    MethodInvocationTree call =
        (MethodInvocationTree) ((ExpressionStatementTree) statements.get(0)).getExpression();
    TreePath at = new TreePath(statement, call);
    List<TreePath> arguments = new ArrayList<>();
    int given = 0;
    for (ExpressionTree each : call.getArguments()) {
      TreePath argument = new TreePath(at, each);
      boolean next =
          given < method.element().getParameters().size()
              && method.element().getParameters().get(given).equals(trees.element(argument));
      if (next) {
        given++;
      } else if (Constants.unknown(trees, argument).isPresent()) {
        throw refused(owner, trees.place(each));
      }
      arguments.add(next ? null : argument);
    }
    if (given < method.element().getParameters().size()
        || method.element().isVarArgs() && arguments.size() > given) {
      throw refused(owner, trees.place(method.tree()));
    }
    ExecutableElement meant =
        (ExecutableElement) trees.element(new TreePath(at, call.getMethodSelect()));
    return new ParentCall(meant, arguments);
  }

  private static Refused refused(OwnerClass owner, String place) {
    return Refused.advising(
        RefusalKind.DOES_MORE,
        "%s cannot be inlined: its constructor does more than give what it is given, in that order, and constants."
            .formatted(owner.writtenName()),
        "Take the rest out of it first.",
        place);
  }
}
