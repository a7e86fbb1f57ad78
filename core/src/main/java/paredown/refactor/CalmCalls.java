package paredown.refactor;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;

/**
 * Calm calls are those that write nothing anybody could see: plain accessors, and the platform's.
 */
final class CalmCalls {
  private static final Set<String> VALUES =
      Set.of(
          "java.lang.String",
          "java.lang.Math",
          "java.lang.Integer",
          "java.lang.Long",
          "java.lang.Short",
          "java.lang.Byte",
          "java.lang.Character",
          "java.lang.Boolean",
          "java.lang.Double",
          "java.lang.Float",
          "java.lang.CharSequence",
          "java.lang.StringBuilder",
          "java.lang.Object",
          "java.lang.Class");

  private final Program program;

  CalmCalls(Program program) {
    this.program = program;
  }

  /** Whether calling a method or constructor changes nothing that other code could see. */
  boolean isCalm(Element called) {
    if (!(called.getEnclosingElement() instanceof TypeElement type)) {
      return false;
    }
    String name = type.getQualifiedName().toString();
    if (called.getKind() == ElementKind.CONSTRUCTOR) {
      return name.startsWith("java.lang.")
          || name.startsWith("java.util.")
              && ((ExecutableElement) called).getParameters().isEmpty();
    }
    return VALUES.contains(name) || field((ExecutableElement) called).isPresent();
  }

  /** The field that a plain accessor gives; empty where it does more, or is overridden. */
  Optional<VariableElement> field(ExecutableElement method) {
    boolean simple =
        method.getParameters().isEmpty()
            && method.getEnclosingElement().getKind() != ElementKind.INTERFACE
            && !method.getModifiers().contains(Modifier.SYNCHRONIZED);
    return simple ? given(method).filter(field -> !isOverridden(method)) : Optional.empty();
  }

  /** The field that a method without parameters gives by its body alone. */
  private Optional<VariableElement> given(ExecutableElement method) {
    TreePath path = program.declaration(method);
    if (path == null || !(path.getLeaf() instanceof MethodTree tree) || tree.getBody() == null) {
      return component(method);
    }
    var statements = tree.getBody().getStatements();
    if (statements.size() != 1 || !(statements.get(0) instanceof ReturnTree returned)) {
      return Optional.empty();
    }
    return ElementFilter.fieldsIn(method.getEnclosingElement().getEnclosedElements()).stream()
        .filter(field -> spells(returned.getExpression(), field.getSimpleName().toString()))
        .filter(field -> program.types().isSameType(field.asType(), method.getReturnType()))
        .findFirst();
  }

  private static Optional<VariableElement> component(ExecutableElement method) {
    return method.getEnclosingElement().getKind() == ElementKind.RECORD
        ? ElementFilter.fieldsIn(method.getEnclosingElement().getEnclosedElements()).stream()
            .filter(field -> field.getSimpleName().equals(method.getSimpleName()))
            .findFirst()
        : Optional.empty();
  }

  private static boolean spells(ExpressionTree expression, String name) {
    return expression instanceof IdentifierTree identifier
            && identifier.getName().contentEquals(name)
        || expression instanceof MemberSelectTree select
            && select.getIdentifier().contentEquals(name)
            && select.getExpression() instanceof IdentifierTree self
            && self.getName().contentEquals("this");
  }

  private boolean isOverridden(ExecutableElement method) {
    return !Overriding.isFinal(method)
        && Overriding.of(program, program.symbols().key(method)).isPresent();
  }
}
