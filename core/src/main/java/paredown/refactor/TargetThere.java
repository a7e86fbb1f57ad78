package paredown.refactor;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import java.util.Map;
import javax.lang.model.element.VariableElement;
import paredown.program.Program;

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
      always = accepted || isAsked() || isHeld();
    }
    return always;
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
        path -> isPlainName(path) && variable.equals(route.owner().trees().element(path)));
  }

  private static boolean isPlainName(TreePath path) {
    return path.getLeaf() instanceof IdentifierTree
        || path.getLeaf() instanceof MemberSelectTree select
            && select.getExpression() instanceof IdentifierTree self
            && self.getName().contentEquals("this");
  }
}
