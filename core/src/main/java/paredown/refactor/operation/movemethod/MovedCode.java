package paredown.refactor.operation.movemethod;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import paredown.refactor.use.OwnerClass;

/**
 * The code of a method that is about to move, by what it needs of where it was.
 *
 * @param asked where it asks its old object
 * @param targeted where it names the object that it moves to
 * @param statics static members without a qualifier
 * @param named types by their simple names
 * @param again where the method names itself behind its class or another object
 * @param seen the expressions whose symbols must be visible from the new place
 * @param variables the type variables of the old class that it names
 * @param locals the names of all variables that it declares, its parameters among them
 */
record MovedCode(
    List<Asked> asked,
    List<Targeted> targeted,
    List<Static> statics,
    List<Named> named,
    List<TreePath> again,
    List<TreePath> seen,
    Set<TypeParameterElement> variables,
    Set<String> locals) {

  /**
   * A place where the code asks its old object.
   *
   * @param path the whole expression: a name, or a name behind {@code this}
   * @param member what is asked for; null for the object itself
   * @param later whether it is asked in a lambda or local class, at some later time
   */
  record Asked(TreePath path, Element member, boolean later) {}

  /**
   * A place where the code names the object that it moves to.
   *
   * @param inner whether that is within a local class, which has a {@code this} of its own
   */
  record Targeted(TreePath path, boolean inner) {}

  /**
   * A static member without a qualifier.
   *
   * @param scope the class that gave it to the code; null for a static import
   */
  record Static(IdentifierTree tree, Element member, TypeElement scope) {}

  /** A type by its simple name. */
  record Named(IdentifierTree tree, TypeElement type) {}

  /**
   * Looks through a method.
   *
   * @param delegate whether its old place stays, with the annotations that tie it there
   */
  static MovedCode of(
      OwnerClass owner,
      OwnerClass.Method method,
      Through through,
      TypeElement target,
      boolean delegate) {
    return MovedCodeScan.of(owner, method, through, target, delegate);
  }

  /** Whether each object of a type has an object of a generic class around it. */
  static boolean isWithinGeneric(Element type) {
    Element at = type;
    while (at.getKind() == ElementKind.CLASS
        && !at.getModifiers().contains(Modifier.STATIC)
        && at.getEnclosingElement() instanceof TypeElement outer) {
      if (!outer.getTypeParameters().isEmpty()) {
        return true;
      }
      at = outer;
    }
    return false;
  }
}
