package paredown.refactor.operation.parameterobject;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;
import javax.lang.model.util.Elements;
import paredown.UnusableRequest;
import paredown.program.Program;
import paredown.refactor.effect.CalmCalls;
import paredown.text.Listed;

/**
 * The class of the object: a constructor that only keeps the components, and an accessor for each.
 *
 * @param order the component that each parameter of the constructor is
 * @param accessors in the order of the components
 */
record ObjectType(
    TypeElement element,
    ExecutableElement constructor,
    List<Integer> order,
    List<ExecutableElement> accessors) {

  /**
   * A class of the project as one of components.
   *
   * @throws UnusableRequest where it does not hold just these
   */
  static ObjectType of(Program program, TypeElement type, List<Component> components) {
    for (ExecutableElement each : ElementFilter.constructorsIn(type.getEnclosedElements())) {
      List<Integer> order = order(program, each, components);
      if (order.size() == components.size() && onlyKeeps(program, each)) {
        List<ExecutableElement> accessors = accessors(program, type, components);
        if (accessors.size() == components.size()) {
          return new ObjectType(type, each, order, accessors);
        }
      }
    }
    throw new UnusableRequest(
        "There is a class %s already, which does not just keep %s and give them."
            .formatted(
                type.getSimpleName(), Listed.of(components.stream().map(Component::name).toList())),
        "Choose another --name.");
  }

  /** The components that the parameters of a constructor are; fewer where it has others. */
  private static List<Integer> order(
      Program program, ExecutableElement constructor, List<Component> components) {
    List<Integer> order = new ArrayList<>();
    if (constructor.getParameters().size() != components.size()) {
      return order;
    }
    for (VariableElement parameter : constructor.getParameters()) {
      for (int i = 0; i < components.size(); i++) {
        boolean same =
            parameter.getSimpleName().contentEquals(components.get(i).name())
                && program.symbols().text(parameter.asType()).equals(components.get(i).text());
        if (same) {
          order.add(i);
        }
      }
    }
    return order;
  }

  private static boolean onlyKeeps(Program program, ExecutableElement constructor) {
    boolean record = constructor.getEnclosingElement().getKind() == ElementKind.RECORD;
    boolean unwritten = program.elements().getOrigin(constructor) == Elements.Origin.MANDATED;
    if (record && unwritten) {
      return true;
    }
    TreePath path = program.declaration(constructor);
    return path != null
        && path.getLeaf() instanceof MethodTree tree
        && tree.getBody() != null
        && tree.getBody().getStatements().stream().allMatch(each -> keeps(each));
  }

  private static boolean keeps(StatementTree statement) {
    if (statement.toString().strip().equals("super();")) {
      return true;
    }
    return statement instanceof ExpressionStatementTree expression
        && expression.getExpression() instanceof AssignmentTree assignment
        && assignment.getExpression() instanceof IdentifierTree value
        && assignment.getVariable().toString().equals("this." + value.getName());
  }

  private static List<ExecutableElement> accessors(
      Program program, TypeElement type, List<Component> components) {
    CalmCalls calm = new CalmCalls(program);
    List<ExecutableElement> accessors = new ArrayList<>();
    for (Component component : components) {
      ElementFilter.methodsIn(type.getEnclosedElements()).stream()
          .filter(
              each ->
                  calm.field(each)
                      .filter(field -> field.getSimpleName().contentEquals(component.name()))
                      .filter(field -> field.getModifiers().contains(Modifier.FINAL))
                      .isPresent())
          .findFirst()
          .ifPresent(accessors::add);
    }
    return accessors;
  }
}
