package paredown.refactor.code;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.Types;

/** The object that a caller has for a method that moves to a class without a link. */
public sealed interface CallerObject {

  /** The object that the caller runs in, or one around it. */
  record Itself(TypeElement type) implements CallerObject {}

  /** What a final field of the caller's class holds from the beginning. */
  record Held(VariableElement field) implements CallerObject {}

  /** A new one. */
  record Made() implements CallerObject {}

  /** The plainest that a place has. */
  static CallerObject of(UnitTrees trees, TreePath use, TypeElement target) {
    Types types = trees.program().types();
    TypeMirror wanted = types.erasure(target.asType());
    boolean reached = true;
    boolean innermost = true;
    Optional<CallerObject> held = Optional.empty();
    for (TreePath at = use; at != null; at = at.getParentPath()) {
      if (at.getLeaf() instanceof ClassTree
          && trees.element(at) instanceof TypeElement type
          && reached) {
        if (types.isSubtype(types.erasure(type.asType()), wanted)) {
          return new Itself(type);
        }
        if (innermost) {
          held = held(trees, at, wanted);
        }
        reached = !type.getModifiers().contains(Modifier.STATIC);
        innermost = false;
      } else {
        reached &= !leavesObject(at.getLeaf());
      }
    }
    return held.orElse(new Made());
  }

  /** Whether code within has no object of the class around it, or none yet. */
  private static boolean leavesObject(Tree tree) {
    return tree instanceof MethodTree method
            && method.getModifiers().getFlags().contains(Modifier.STATIC)
        || tree instanceof VariableTree variable
            && variable.getModifiers().getFlags().contains(Modifier.STATIC)
        || tree instanceof BlockTree block && block.isStatic()
        || tree instanceof MethodInvocationTree call
            && ("this".equals(call.getMethodSelect().toString())
                || "super".equals(call.getMethodSelect().toString()));
  }

  private static Optional<CallerObject> held(UnitTrees trees, TreePath type, TypeMirror wanted) {
    Types types = trees.program().types();
    for (Tree member : ((ClassTree) type.getLeaf()).getMembers()) {
      if (member instanceof VariableTree variable
          && variable.getInitializer() instanceof NewClassTree
          && trees.element(new TreePath(type, variable)) instanceof VariableElement field
          && field.getModifiers().contains(Modifier.FINAL)
          && !field.getModifiers().contains(Modifier.STATIC)
          && types.isSameType(types.erasure(field.asType()), wanted)) {
        return Optional.of(new Held(field));
      }
    }
    return Optional.empty();
  }
}
