package paredown.refactor.effect;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.util.TreePath;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;

/** Calm calls are those that write nothing anybody could see; plain accessors are the calmest. */
public final class CalmCalls {
  private static final Set<Deed> LOUD =
      EnumSet.of(
          Deed.CHANGES,
          Deed.SETS,
          Deed.OUTSIDE,
          Deed.UNKNOWN,
          Deed.MAKES_TEXT,
          Deed.COMPARES,
          Deed.GOES_THROUGH);

  private final Program program;
  private final Effects effects;
  private final Overriders overriders;

  public CalmCalls(Program program) {
    this.program = program;
    this.effects = new Effects(program);
    this.overriders = new Overriders(program);
  }

  public Effects effects() {
    return effects;
  }

  /** Whether calling a method or constructor changes nothing that other code could see. */
  public boolean isCalm(Element called) {
    return called instanceof ExecutableElement method && isCalm(effects.ofCall(method));
  }

  private static boolean isCalm(Deeds deeds) {
    return !deeds.hasAny(LOUD);
  }

  /** The field that a plain accessor gives; empty where it does more, or is overridden. */
  public Optional<VariableElement> field(ExecutableElement method) {
    boolean simple =
        method.getParameters().isEmpty()
            && method.getEnclosingElement().getKind() != ElementKind.INTERFACE
            && !method.getModifiers().contains(Modifier.SYNCHRONIZED);
    return simple
        ? given(method).filter(field -> !overriders.isOverridden(method))
        : Optional.empty();
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
}
