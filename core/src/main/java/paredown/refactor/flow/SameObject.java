package paredown.refactor.flow;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;

/** Tells where it matters that a value is one and the same object. */
final class SameObject {
  private SameObject() {}

  /** The first of some places that compares its object with another, or locks it. */
  static Optional<TreePath> mattersAt(Program program, List<TreePath> places) {
    return places.stream().filter(place -> matters(program, place)).findFirst();
  }

  private static boolean matters(Program program, TreePath place) {
    TreePath at = place;
    while (at.getParentPath().getLeaf() instanceof ParenthesizedTree) {
      at = at.getParentPath();
    }
    TreePath around = at.getParentPath();
    if (around.getLeaf() instanceof SynchronizedTree) {
      return true;
    }
    boolean compares =
        around.getLeaf().getKind() == Tree.Kind.EQUAL_TO
            || around.getLeaf().getKind() == Tree.Kind.NOT_EQUAL_TO;
    if (!compares) {
      return false;
    }
    BinaryTree binary = (BinaryTree) around.getLeaf();
    ExpressionTree other =
        binary.getLeftOperand() == at.getLeaf()
            ? binary.getRightOperand()
            : binary.getLeftOperand();
    TypeMirror type = program.trees().getTypeMirror(new TreePath(around, other));
    return other.getKind() != Tree.Kind.NULL_LITERAL
        && (type == null || !type.getKind().isPrimitive());
  }
}
