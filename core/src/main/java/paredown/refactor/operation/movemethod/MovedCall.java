package paredown.refactor.operation.movemethod;

import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.TypeElement;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.EvaluationOrder;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;

/**
 * One call of a method that moves, as it stands.
 *
 * @param use the name of the method in it
 */
record MovedCall(Moving moving, MemberUses.MemberUse use) {

  UnitTrees trees() {
    return use.trees();
  }

  MethodInvocationTree tree() {
    return (MethodInvocationTree) use.path().getParentPath().getLeaf();
  }

  List<TreePath> arguments() {
    TreePath call = use.path().getParentPath();
    return tree().getArguments().stream().map(each -> new TreePath(call, each)).toList();
  }

  /** The expression that the method is asked of; empty where its name stands alone. */
  Optional<TreePath> object() {
    return use.path().getLeaf() instanceof MemberSelectTree select
        ? Optional.of(new TreePath(use.path(), select.getExpression()))
        : Optional.empty();
  }

  boolean isType(TreePath expression) {
    return trees().element(expression) instanceof TypeElement;
  }

  /** The class that the call stands in. */
  TypeElement around() {
    return trees().classAround(use.path());
  }

  EvaluationOrder order() {
    return new EvaluationOrder(trees(), moving.calm());
  }

  Refused refused(RefusalKind kind, String why) {
    return Refused.of(
        kind,
        OwnerClass.signature(moving.method()),
        why + "; --delegate keep leaves its callers as they are",
        use.place());
  }

  /**
   * Says that null would show elsewhere than before.
   *
   * @param or what else would help; empty for nothing
   */
  Refused maybeNull(String why, String or) {
    return Refused.advising(
        RefusalKind.MAYBE_NULL,
        "%s could be %s".formatted(OwnerClass.signature(moving.method()), why),
        "If that never happens, say --accept maybe-null" + or + ".",
        use.place());
  }
}
