package paredown.refactor.operation.parameterfield;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.ExecutableElement;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.code.UnitTrees;

/**
 * A call of one of the methods, and what it gives for the parameter.
 *
 * @param call the call
 * @param given the expression that it gives
 */
record Giving(UnitTrees trees, TreePath call, TreePath given) {

  /** All calls, but for those by which one method hands its own parameter on to another. */
  static List<Giving> of(Program program, LosingMethods losing) {
    List<Giving> found = new ArrayList<>();
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
          if (trees.element(getCurrentPath()) instanceof ExecutableElement called
              && losing.parameter(called).isPresent()) {
            ExpressionTree given = tree.getArguments().get(losing.position(called));
            Giving giving =
                new Giving(trees, getCurrentPath(), new TreePath(getCurrentPath(), given));
            if (!giving.handsOn(losing)) {
              found.add(giving);
            }
          }
          return super.visitMethodInvocation(tree, null);
        }
      }.scan(unit.tree(), null);
    }
    return found;
  }

  /** Whether an object asks itself, and gives what it was given for the same. */
  private boolean handsOn(LosingMethods losing) {
    for (TreePath at = call; at != null; at = at.getParentPath()) {
      if (losing
              .parameter(trees.element(at))
              .filter(each -> each.equals(trees.element(given)))
              .isPresent()
          && at.getLeaf() instanceof com.sun.source.tree.MethodTree) {
        return asked().map(each -> each.getLeaf().toString().equals("this")).orElse(true);
      }
    }
    return false;
  }

  /** The object that is asked; empty where that is not said. */
  Optional<TreePath> asked() {
    TreePath select = new TreePath(call, ((MethodInvocationTree) call.getLeaf()).getMethodSelect());
    return select.getLeaf() instanceof MemberSelectTree name
        ? Optional.of(new TreePath(select, name.getExpression()))
        : Optional.empty();
  }

  Tree value() {
    return given.getLeaf();
  }

  String place() {
    return trees.place(call.getLeaf());
  }
}
