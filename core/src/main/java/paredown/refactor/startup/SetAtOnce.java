package paredown.refactor.startup;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreeScanner;
import java.util.List;
import javax.lang.model.element.Modifier;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Writes;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.OwnerTouches;

/** Whether every constructor sets a field before anything could ask for it. */
public final class SetAtOnce {
  private SetAtOnce() {}

  /** Whether they do. */
  public static boolean is(OwnerClass owner, OwnerClass.Field field) {
    return !owner.constructors().isEmpty()
        && owner.initialisers().isEmpty()
        && owner.fields().stream().noneMatch(SetAtOnce::asks)
        && owner.constructors().stream()
            .allMatch(each -> each.callsAnother() || sets(owner, each, field));
  }

  /**
   * Requires that nothing could ask for a field before it holds an object: from its declaration on,
   * or where it is final and a constructor sets it, from there.
   *
   * @throws Refused where a method of the object runs before, or somebody gets the object
   */
  public static void requireUnasked(OwnerClass owner, OwnerClass.Field field) {
    if (is(owner, field)) {
      return;
    }
    boolean declared = field.tree().getInitializer() != null || !field.is(Modifier.FINAL);
    for (OwnerClass.Field each : owner.fields()) {
      if (each.startsWithObject() && (!declared || each.declared() < field.declared())) {
        requireUnasked(owner, field, new TreePath(each.path(), each.tree().getInitializer()));
      }
    }
    for (OwnerClass.Initialiser each : owner.initialisers()) {
      if (!each.tree().isStatic()) {
        requireUnasked(owner, field, each.path());
      }
    }
    for (OwnerClass.Method each : declared ? List.<OwnerClass.Method>of() : owner.constructors()) {
      for (StatementTree statement : each.tree().getBody().getStatements()) {
        TreePath path = new TreePath(new TreePath(each.path(), each.tree().getBody()), statement);
        if (each.callsAnother() || Writes.in(owner.trees(), path).contains(field.element())) {
          break;
        }
        requireUnasked(owner, field, path);
      }
    }
  }

  private static void requireUnasked(OwnerClass owner, OwnerClass.Field field, TreePath code) {
    if (!OwnerTouches.in(owner, code).isEmpty()) {
      throw Refused.advising(
          RefusalKind.USED_BEFORE_BUILT,
          "%s could be asked for before it is set.".formatted(field.name()),
          "Set it first of all.",
          owner.trees().place(code.getLeaf()));
    }
  }

  /** Whether working out the value of a field could run code of the class. */
  private static boolean asks(OwnerClass.Field field) {
    return field.tree().getInitializer() != null
        && Boolean.TRUE.equals(
            new TreeScanner<Boolean, Void>() {
              @Override
              public Boolean visitMethodInvocation(MethodInvocationTree tree, Void unused) {
                return true;
              }

              @Override
              public Boolean reduce(Boolean one, Boolean other) {
                return Boolean.TRUE.equals(one) || Boolean.TRUE.equals(other);
              }
            }.scan(field.tree().getInitializer(), null));
  }

  /** Whether a constructor sets it among its first statements, which only set fields. */
  private static boolean sets(
      OwnerClass owner, OwnerClass.Method constructor, OwnerClass.Field field) {
    TreePath body = new TreePath(constructor.path(), constructor.tree().getBody());
    for (StatementTree each : constructor.tree().getBody().getStatements()) {
      if (owner.trees().end(each) < 0) {
        continue;
      }
      if (!(each instanceof ExpressionStatementTree plain)
          || !(plain.getExpression() instanceof AssignmentTree set)
          || !(set.getExpression() instanceof IdentifierTree
              || set.getExpression() instanceof LiteralTree)) {
        return false;
      }
      TreePath target =
          new TreePath(new TreePath(new TreePath(body, each), set), set.getVariable());
      if (field.element().equals(owner.trees().element(target))) {
        return true;
      }
    }
    return false;
  }
}
