package paredown.refactor.operation.parameterobject;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.FixedHead;

/** Leaves heads as they are where a call of another method of the name could mean them then. */
final class NullsGiven {
  private final Program program;
  private final Signatures signatures;

  NullsGiven(Program program, Signatures signatures) {
    this.program = program;
    this.signatures = signatures;
  }

  /** A null in the place of the object fits that, too. */
  void leave() {
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
          look(trees, getCurrentPath(), tree.getArguments());
          return super.visitMethodInvocation(tree, null);
        }

        @Override
        public Void visitNewClass(NewClassTree tree, Void unused) {
          look(trees, getCurrentPath(), tree.getArguments());
          return super.visitNewClass(tree, null);
        }
      }.scan(unit.tree(), null);
    }
  }

  private void look(UnitTrees trees, TreePath path, List<? extends ExpressionTree> given) {
    Element called = trees.element(path);
    boolean nothing = given.stream().noneMatch(NullsGiven::isNull);
    if (called == null || nothing || signatures.head(called).isPresent()) {
      return;
    }
    for (Head head : signatures.heads()) {
      int then = head.element().getParameters().size() - head.positions().size() + 1;
      boolean fits =
          then == given.size()
              && isNull(given.get(head.first()))
              && called.getSimpleName().equals(head.element().getSimpleName())
              && isNear(called, head);
      if (fits) {
        signatures.leave(
            head,
            new FixedHead.Obstacle(
                RefusalKind.NAME_TAKEN,
                "a call that gives null could mean it, too",
                trees.place(path.getLeaf())));
      }
    }
  }

  private static boolean isNull(ExpressionTree tree) {
    return tree.getKind() == Tree.Kind.NULL_LITERAL;
  }

  /** Whether one of their classes inherits from the other. */
  private boolean isNear(Element called, Head head) {
    return called.getEnclosingElement() instanceof TypeElement type
        && (program.types().isSubtype(type.asType(), head.owner().asType())
            || program.types().isSubtype(head.owner().asType(), type.asType()));
  }
}
