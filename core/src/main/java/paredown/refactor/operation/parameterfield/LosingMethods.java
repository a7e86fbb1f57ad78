package paredown.refactor.operation.parameterfield;

import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.UnusableRequest;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Writes;
import paredown.refactor.operation.remove.GoingParameters;
import paredown.refactor.use.FixedHead;
import paredown.refactor.use.MethodFamily;
import paredown.refactor.use.NamedVariable;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/**
 * The methods that lose a parameter.
 *
 * @param type of the parameter
 * @param going the parameters
 * @param notes sentences about methods that keep theirs
 */
record LosingMethods(TypeMirror type, GoingParameters going, List<String> notes) {

  /**
   * Finds them.
   *
   * @throws Refused where the one that is named cannot lose it, or none can
   */
  static LosingMethods of(MoveParameter arguments, OwnerClass owner) {
    Map<OwnerClass.Method, VariableElement> all = new LinkedHashMap<>();
    List<OwnerClass.Method> asked =
        arguments
            .method()
            .map(each -> List.of(NamedVariable.method(owner, each)))
            .orElse(owner.methods());
    for (OwnerClass.Method each : asked) {
      each.element().getParameters().stream()
          .filter(one -> one.getSimpleName().contentEquals(arguments.parameter()))
          .forEach(one -> all.put(each, one));
    }
    if (all.isEmpty()) {
      throw new UnusableRequest(
          "No method of %s has a parameter %s."
              .formatted(owner.writtenName(), arguments.parameter()),
          "Name one that is there.");
    }
    TypeMirror type = all.values().iterator().next().asType();
    boolean several =
        all.values().stream()
            .anyMatch(each -> !owner.program().types().isSameType(each.asType(), type));
    if (several) {
      throw new UnusableRequest(
          "Parameters %s of %s have several types."
              .formatted(arguments.parameter(), owner.writtenName()),
          "Say which method: %s."
              .formatted(Listed.of(all.keySet().stream().map(OwnerClass::signature).toList())));
    }
    return chosen(owner, all, type);
  }

  private static LosingMethods chosen(
      OwnerClass owner, Map<OwnerClass.Method, VariableElement> all, TypeMirror type) {
    GoingParameters going = new GoingParameters(owner);
    List<String> notes = new ArrayList<>();
    List<FixedHead.Obstacle> met = new ArrayList<>();
    all.forEach(
        (method, parameter) -> {
          int position = method.element().getParameters().indexOf(parameter);
          Optional<FixedHead.Obstacle> obstacle = obstacle(owner, method, parameter, position);
          if (obstacle.isEmpty()) {
            going.addAlone(method.element(), position);
          } else {
            met.add(obstacle.get());
            notes.add(
                "%s keeps its parameter: %s."
                    .formatted(OwnerClass.signature(method), obstacle.get().why()));
          }
        });
    if (going.all().isEmpty()) {
      FixedHead.Obstacle first = met.get(0);
      throw Refused.advising(
          first.kind(),
          "%s keeps its parameter: %s."
              .formatted(OwnerClass.signature(all.keySet().iterator().next()), first.why()),
          "Leave it where it is.",
          first.place());
    }
    return new LosingMethods(type, going, notes);
  }

  private static Optional<FixedHead.Obstacle> obstacle(
      OwnerClass owner, OwnerClass.Method method, VariableElement parameter, int position) {
    Program program = owner.program();
    ExecutableElement element = method.element();
    MethodTree tree = method.tree();
    String place = owner.trees().place(tree);
    if (element.getModifiers().contains(Modifier.STATIC)) {
      return met(RefusalKind.STATIC_CONTEXT, "it has no object", place);
    }
    if (tree.getBody() == null) {
      return met(RefusalKind.NO_BODY, RefusalKind.NO_BODY.why(), place);
    }
    if (MethodFamily.of(program, element).size() > 1) {
      return met(RefusalKind.OVERRIDES, "it overrides a method, or is overridden", place);
    }
    TreePath body = new TreePath(method.path(), tree.getBody());
    if (Writes.in(owner.trees(), body).contains(parameter)) {
      return met(RefusalKind.VALUE_CHANGES, "it sets it to something else", place);
    }
    return new FixedHead(program, place).of(element, List.of(position));
  }

  private static Optional<FixedHead.Obstacle> met(RefusalKind kind, String why, String place) {
    return Optional.of(new FixedHead.Obstacle(kind, why, place));
  }

  /** The parameter of a method that loses one. */
  Optional<VariableElement> parameter(Object method) {
    return method instanceof ExecutableElement element && going.all().containsKey(element)
        ? Optional.of(element.getParameters().get(position(element)))
        : Optional.empty();
  }

  int position(ExecutableElement method) {
    return going.all().get(method).iterator().next();
  }
}
