package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.ClassTree;
import java.util.Set;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
import paredown.edit.Change;
import paredown.refactor.Refused;
import paredown.refactor.use.OwnerClass;

/** A way is how a class can go: what takes its place, and who follows. */
interface Way {

  /** Whether a type is a class of nothing but fields, methods and constructors of its own. */
  static boolean isPlain(OwnerClass type) {
    return type.element().getKind() == ElementKind.CLASS
        && type.tree().getExtendsClause() == null
        && type.element().getTypeParameters().isEmpty()
        && type.initialisers().isEmpty()
        && type.tree().getMembers().stream().noneMatch(ClassTree.class::isInstance);
  }

  /** The files that the change could touch beside those that name the class. */
  Set<String> affected();

  /** The class that takes the place of the other. */
  TypeElement stays();

  /**
   * The change.
   *
   * @throws Refused where the class cannot go that way here
   */
  Change change() throws Refused;
}
