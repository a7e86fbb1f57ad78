package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.RecordComponentElement;
import javax.lang.model.element.TypeElement;
import paredown.program.Program;
import paredown.refactor.code.UnitTrees;

/** The methods by which records give their components. */
final class Accessors {
  private Accessors() {}

  /** The accessor of a field that is a component, where the compiler has made it. */
  static Optional<ExecutableElement> unwritten(Program program, Element field) {
    if (field.getKind() != ElementKind.FIELD
        || !(field.getEnclosingElement() instanceof TypeElement type)) {
      return Optional.empty();
    }
    return type.getRecordComponents().stream()
        .filter(each -> each.getSimpleName().equals(field.getSimpleName()))
        .map(RecordComponentElement::getAccessor)
        .filter(each -> !isWritten(program, each))
        .findFirst();
  }

  private static boolean isWritten(Program program, ExecutableElement method) {
    TreePath path = program.declaration(method);
    return path != null
        && path.getLeaf() instanceof MethodTree tree
        && new UnitTrees(program, program.unit(path).orElseThrow()).end(tree) >= 0;
  }
}
