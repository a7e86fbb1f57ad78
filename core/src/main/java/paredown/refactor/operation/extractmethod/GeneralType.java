package paredown.refactor.operation.extractmethod;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.Types;
import paredown.refactor.code.UnitTrees;

/**
 * The most general type that a variable could have in a part: that of what is asked of it, and of
 * what it is given to.
 */
final class GeneralType extends TreePathScanner<Void, Void> {
  private final UnitTrees trees;
  private final Types types;
  private final VariableElement variable;
  private final List<TypeMirror> needed = new ArrayList<>();
  private boolean open = true;

  private GeneralType(UnitTrees trees, VariableElement variable) {
    this.trees = trees;
    this.types = trees.program().types();
    this.variable = variable;
  }

  /** The type; empty where the part does something with it that fits its own type only. */
  static Optional<TypeMirror> of(Extraction extraction, VariableElement variable) {
    if (extraction.locals().isWritten(variable)) {
      return Optional.empty();
    }
    if (PromotedUses.are(extraction.trees(), extraction.part(), variable)) {
      return Optional.of(extraction.trees().program().types().getPrimitiveType(TypeKind.INT));
    }
    if (variable.asType().getKind() != TypeKind.DECLARED) {
      return Optional.empty();
    }
    GeneralType scan = new GeneralType(extraction.trees(), variable);
    extraction.part().trees().forEach(path -> scan.scan(path, null));
    return scan.open ? scan.least() : Optional.empty();
  }

  /** The one that all others are above. */
  private Optional<TypeMirror> least() {
    return needed.stream()
        .filter(each -> needed.stream().allMatch(other -> types.isSubtype(each, other)))
        .findFirst();
  }

  @Override
  public Void visitIdentifier(IdentifierTree tree, Void unused) {
    if (variable.equals(trees.element(getCurrentPath()))) {
      Optional<TypeMirror> type = needed(getCurrentPath());
      type.ifPresent(needed::add);
      open &= type.isPresent();
    }
    return null;
  }

  private Optional<TypeMirror> needed(TreePath use) {
    TreePath above = use.getParentPath();
    Optional<TypeMirror> type = Optional.empty();
    if (above.getLeaf() instanceof MemberSelectTree) {
      Element member = trees.element(above);
      type =
          Optional.ofNullable(member)
              .map(Element::getEnclosingElement)
              .filter(TypeElement.class::isInstance)
              .map(Element::asType);
    } else if (above.getLeaf() instanceof MethodInvocationTree call) {
      type = given(trees, above, call.getArguments(), use.getLeaf());
    } else if (above.getLeaf() instanceof NewClassTree made) {
      type = given(trees, above, made.getArguments(), use.getLeaf());
    }
    return type.filter(each -> each.getKind() == TypeKind.DECLARED)
        .filter(each -> ((TypeElement) types.asElement(each)).getTypeParameters().isEmpty());
  }

  /** The type that a method wants where the variable is given to it. */
  static Optional<TypeMirror> given(
      UnitTrees trees, TreePath call, List<? extends Tree> arguments, Tree argument) {
    int at = arguments.indexOf(argument);
    return trees.element(call) instanceof ExecutableElement method
            && at >= 0
            && at < method.getParameters().size()
            && !method.isVarArgs()
        ? Optional.of(method.getParameters().get(at).asType())
        : Optional.empty();
  }
}
