package paredown.refactor.alike;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import paredown.refactor.code.Part;
import paredown.refactor.effect.Deed;
import paredown.refactor.effect.Deeds;

/** Whether a field has one value all through a part that reads it. */
enum Steadiness {
  /** It has. */
  STEADY,
  /** It has, unless something sets it that the part calls and that nobody can look through. */
  ASSUMED,
  /** The part could see more than one. */
  CHANGES;

  /**
   * How it is with a field.
   *
   * @param named where the part names it
   * @param done what the part does, which is asked for only where it matters
   */
  static Steadiness of(
      VariableElement field, List<TreePath> named, Part part, Supplier<List<Deeds>> done) {
    if (named.stream().anyMatch(Steadiness::isSet)) {
      return CHANGES;
    }
    if (field.getModifiers().contains(Modifier.FINAL)) {
      return STEADY;
    }
    if (field.getModifiers().contains(Modifier.VOLATILE)
        || named.stream().anyMatch(path -> isLater(path, part))) {
      return CHANGES;
    }
    List<Deeds> deeds = done.get();
    return deeds.stream().anyMatch(each -> each.fields().contains(field))
        ? CHANGES
        : deeds.stream().anyMatch(each -> each.has(Deed.UNKNOWN)) ? ASSUMED : STEADY;
  }

  private static boolean isSet(TreePath name) {
    Tree above = name.getParentPath().getLeaf();
    return above instanceof AssignmentTree assignment && assignment.getVariable() == name.getLeaf()
        || above instanceof CompoundAssignmentTree compound
            && compound.getVariable() == name.getLeaf()
        || above instanceof UnaryTree unary && unary.getKind().name().contains("CREMENT");
  }

  /** Whether a name is read when the part may be over. */
  private static boolean isLater(TreePath name, Part part) {
    Set<Tree> whole = new HashSet<>();
    part.trees().forEach(each -> whole.add(each.getLeaf()));
    for (TreePath at = name; !whole.contains(at.getLeaf()); at = at.getParentPath()) {
      if (at.getLeaf() instanceof LambdaExpressionTree || at.getLeaf() instanceof ClassTree) {
        return true;
      }
    }
    return false;
  }
}
