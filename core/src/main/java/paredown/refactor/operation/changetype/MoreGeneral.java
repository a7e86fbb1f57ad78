package paredown.refactor.operation.changetype;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.ExecutableType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.refactor.code.UnitTrees;

/** A type above the old one: the same objects, known for less. */
record MoreGeneral(Program program, TypeMirror from, TypeMirror to) implements Exchange {

  static boolean is(Program program, TypeMirror from, TypeMirror to) {
    return from instanceof DeclaredType
        && to instanceof DeclaredType
        && !program.types().isSameType(from, to)
        && program.types().isSubtype(from, to);
  }

  @Override
  public boolean stays(UnitTrees trees, TreePath around, Tree part) {
    Tree tree = around.getLeaf();
    if (tree instanceof EnhancedForLoopTree loop) {
      TypeElement iterable = program.elements().getTypeElement("java.lang.Iterable");
      return loop.getExpression() == part
          && program.types().isSubtype(erased(to), erased(iterable.asType()));
    }
    return tree instanceof BinaryTree
        || tree instanceof CompoundAssignmentTree
        || tree instanceof InstanceOfTree
        || tree instanceof TypeCastTree cast && cast.getExpression() == part;
  }

  @Override
  public boolean fits(TypeMirror variable) {
    return !variable.getKind().isPrimitive() && program.types().isAssignable(to, variable);
  }

  @Override
  public Optional<ExecutableElement> member(Element asked) {
    if (!(asked instanceof ExecutableElement method)
        || method.getModifiers().contains(Modifier.STATIC)) {
      return Optional.empty();
    }
    TypeElement type = (TypeElement) ((DeclaredType) to).asElement();
    List<ExecutableElement> named =
        ElementFilter.methodsIn(program.elements().getAllMembers(type)).stream()
            .filter(each -> each.getSimpleName().equals(method.getSimpleName()))
            .toList();
    return named.stream().filter(each -> isSame(method, each)).findFirst();
  }

  /** Whether two methods are one, and give the same. */
  private boolean isSame(ExecutableElement one, ExecutableElement other) {
    TypeElement below = (TypeElement) ((DeclaredType) from).asElement();
    return one.equals(other)
        || program.elements().overrides(one, other, below)
            && program.types().isSameType(given(one, from), given(other, to));
  }

  private TypeMirror given(ExecutableElement method, TypeMirror type) {
    return ((ExecutableType) program.types().asMemberOf((DeclaredType) type, method))
        .getReturnType();
  }

  private TypeMirror erased(TypeMirror type) {
    return program.types().erasure(type);
  }

  /** A text that grows stays what it was known as. */
  @Override
  public boolean counts(Tree.Kind operator, TypeMirror by) {
    return true;
  }

  @Override
  public List<Assumption> assumed(String what, boolean counted, String place) {
    return List.of();
  }
}
