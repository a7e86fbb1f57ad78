package paredown.refactor.operation.changetype;

import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Assumption;
import paredown.refactor.code.UnitTrees;

/** How values of a new type stand for those of an old one, and where they cannot. */
sealed interface Exchange permits WiderNumber, MoreGeneral, OtherObject {

  /** The type that there is now. */
  TypeMirror from();

  /** The type that is to be. */
  TypeMirror to();

  /**
   * Whether what stands around an expression has the new type with it, and means the same.
   *
   * @param around itself
   * @param part of it, which has the new type
   */
  default boolean grows(UnitTrees trees, TreePath around, Tree part) {
    return around.getLeaf() instanceof ConditionalExpressionTree either
        && either.getCondition() != part;
  }

  /** Whether what stands around an expression means the same with the new type, as it is. */
  boolean stays(UnitTrees trees, TreePath around, Tree part);

  /** Whether a variable of some type takes a value of the new type as well, and means the same. */
  boolean fits(TypeMirror variable);

  /** The member of the new type that is the same as one of the old; empty where it has none. */
  default Optional<ExecutableElement> member(Element asked) {
    return Optional.empty();
  }

  /** What makes an object of an old value; empty where that is one of the new type already. */
  default Optional<ExecutableElement> maker() {
    return Optional.empty();
  }

  /**
   * The method that does the same with the new type as one of its name does with the old; empty
   * where none is known.
   */
  default Optional<ExecutableElement> overload(ExecutableElement called) {
    return Optional.empty();
  }

  /** Whether a counting assignment or a step does to the new type what it did to the old. */
  default boolean counts(Tree.Kind operator, TypeMirror by) {
    return false;
  }

  /** The method that gives the old value; empty for a cast. */
  default Optional<ExecutableElement> giver() {
    return Optional.empty();
  }

  /** What the exchange rests on besides. */
  List<Assumption> assumed(String what, boolean counted, String place);
}
