package paredown.refactor.code;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/** Inner classes belong to an object of the class around them, which code need not name. */
public final class InnerClasses {
  private InnerClasses() {}

  /** Whether an object of a class belongs to one of the class around it. */
  public static boolean isInner(Element type) {
    return type instanceof TypeElement
        && type.getKind() == ElementKind.CLASS
        && type.getEnclosingElement() instanceof TypeElement outer
        && !outer.getKind().isInterface()
        && !type.getModifiers().contains(Modifier.STATIC);
  }

  /** The inner class that a class within a body extends; null where it extends none. */
  public static TypeElement extended(UnitTrees trees, TreePath path) {
    Tree above = ((ClassTree) path.getLeaf()).getExtendsClause();
    Element element = above == null ? null : trees.element(new TreePath(path, above));
    return isInner(element) ? (TypeElement) element : null;
  }
}
