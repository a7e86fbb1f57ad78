package paredown.refactor.operation.movemethod;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import java.util.Map;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.effect.DeedsBefore;
import paredown.refactor.nulls.Dereference;
import paredown.refactor.nulls.NeverNull;
import paredown.refactor.nulls.NonNull;
import paredown.refactor.nulls.NullDoubt;
import paredown.refactor.startup.EarlyRun;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.PrivateCalls;

/** Tells whether the object that a method moves to is there whenever the method is called. */
final class TargetThere {
  private final Route route;
  private final boolean accepted;
  private Boolean always;

  /**
   * What is known of the object.
   *
   * @param accepted whether it was said that it is there
   */
  TargetThere(Route route, boolean accepted) {
    this.route = route;
    this.accepted = accepted;
  }

  /** Whether nobody can call the method without it, or the method fails at once where it is not. */
  boolean always() {
    if (always == null) {
      always = accepted || isHeld() || isAskedFirst();
    }
    return always;
  }

  /** Whether the method fails without it; what it does before that is assumed to show nowhere. */
  private boolean isAskedFirst() {
    if (!isAsked()) {
      return false;
    }
    TreePath body = new TreePath(route.method().path(), route.method().tree().getBody());
    boolean acts =
        new DeedsBefore(route.owner().trees(), new CalmCalls(route.program()).effects())
            .acts(body, this::isVariable);
    if (acts) {
      route
          .owner()
          .assumptions()
          .add(
              Assumption.Kind.FAILURE,
              "where %s is null, it shows nowhere that %s fails before it does anything else"
                  .formatted(
                      route.through().variable().getSimpleName(),
                      OwnerClass.signature(route.method())),
              route.owner().trees().place(route.method().tree()));
    }
    return true;
  }

  /** Whether no code seen leaves null there or checks for it, so that it is assumed to be there. */
  boolean isNeverLeftNull() {
    VariableElement variable = route.through().variable();
    boolean early =
        route.through() instanceof Through.Field
            && new EarlyRun(route.owner(), route.method()).isInSources();
    if (variable == null || early || NullDoubt.isStated(route.program(), variable)) {
      return false;
    }
    route
        .owner()
        .assumptions()
        .add(
            Assumption.Kind.NULL,
            "%s of %s is never null"
                .formatted(variable.getSimpleName(), OwnerClass.signature(route.method())),
            route.owner().trees().place(route.method().tree()));
    return true;
  }

  private boolean isVariable(TreePath path) {
    VariableElement variable = route.through().variable();
    return isPlainName(path) && variable.equals(route.owner().trees().element(path))
        || isOwnAccessor(path, variable);
  }

  /** Whether each call shows what it gives, so that it can be looked at for itself. */
  boolean callersTell() {
    OwnerClass.Method method = route.method();
    return route.through() instanceof Through.Parameter
        && !route.delegate()
        && MemberUses.of(route.program(), Map.of(method.element(), method.key())).stream()
            .noneMatch(use -> route.owner().holds(method.range(), use));
  }

  private boolean isHeld() {
    Program program = route.program();
    VariableElement variable = route.through().variable();
    if (route.through() instanceof Through.Parameter) {
      return PrivateCalls.of(program, variable)
          .filter(given -> given.stream().allMatch(each -> NonNull.is(program, each)))
          .isPresent();
    }
    return new NeverNull(route.owner(), route.method()).is(variable);
  }

  private boolean isAsked() {
    VariableElement variable = route.through().variable();
    return Dereference.isCertain(
        route.owner().trees(),
        new TreePath(route.method().path(), route.method().tree().getBody()),
        this::isVariable);
  }

  /** Whether a call gives a field of the object, and is not overridden. */
  private boolean isOwnAccessor(TreePath path, VariableElement variable) {
    if (!(path.getLeaf() instanceof MethodInvocationTree call) || !variable.getKind().isField()) {
      return false;
    }
    TreePath select = new TreePath(path, call.getMethodSelect());
    return isPlainName(select)
        && route.owner().trees().element(select) instanceof ExecutableElement method
        && new CalmCalls(route.program()).field(method).filter(variable::equals).isPresent();
  }

  private static boolean isPlainName(TreePath path) {
    return path.getLeaf() instanceof IdentifierTree
        || path.getLeaf() instanceof MemberSelectTree select
            && select.getExpression() instanceof IdentifierTree self
            && self.getName().contentEquals("this");
  }
}
