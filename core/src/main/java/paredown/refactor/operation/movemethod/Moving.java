package paredown.refactor.operation.movemethod;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.name.WritableType;
import paredown.refactor.use.OwnerClass;

/** A method on its way: its route, what it receives, how far it is seen, and its new signature. */
final class Moving {
  private final Route route;
  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final String name;
  private final boolean acceptsNull;
  private final boolean acceptsStart;
  private final TargetThere targetThere;
  private final CalmCalls calm;
  private final Given given;
  private final Set<TypeParameterElement> variables;
  private final Visibility visibility;

  /**
   * A method on its way.
   *
   * @param forced why callers could give it no values; empty where they can
   */
  Moving(Route route, MoveMethod.Wishes wishes, Optional<String> forced) {
    this.route = route;
    this.owner = route.owner();
    this.method = route.method();
    this.name = wishes.name().orElse(method.name());
    this.acceptsNull = wishes.accepted().contains(RefusalKind.MAYBE_NULL);
    this.acceptsStart = wishes.accepted().contains(RefusalKind.STARTED_EARLIER);
    this.targetThere = new TargetThere(route, acceptsNull);
    this.calm = new CalmCalls(route.program());
    this.given = new Given(route, calm, wishes.owner(), forced);
    this.variables = neededVariables();
    this.visibility = new Visibility(route, given, calm);
  }

  Route route() {
    return route;
  }

  Program program() {
    return route.program();
  }

  OwnerClass owner() {
    return owner;
  }

  OwnerClass target() {
    return route.target();
  }

  OwnerClass.Method method() {
    return method;
  }

  Through through() {
    return route.through();
  }

  boolean delegate() {
    return route.delegate();
  }

  String name() {
    return name;
  }

  /** Whether it was said that callers never ask null. */
  boolean acceptsStart() {
    return acceptsStart;
  }

  boolean acceptsNull() {
    return acceptsNull;
  }

  TargetThere targetThere() {
    return targetThere;
  }

  CalmCalls calm() {
    return calm;
  }

  Given given() {
    return given;
  }

  Visibility visibility() {
    return visibility;
  }

  /** The type variables of its old class that it declares itself now, in their order. */
  List<TypeParameterElement> variables() {
    return owner.element().getTypeParameters().stream()
        .filter(variables::contains)
        .map(TypeParameterElement.class::cast)
        .toList();
  }

  /** Its parameters that it keeps, by their places in the old list. */
  List<Integer> kept() {
    List<Integer> kept = new ArrayList<>();
    for (int i = 0; i < method.element().getParameters().size(); i++) {
      if (!(route.through() instanceof Through.Parameter parameter && parameter.index() == i)) {
        kept.add(i);
      }
    }
    return kept;
  }

  boolean isVarArgs() {
    return method.element().isVarArgs();
  }

  /** Its key in its new place. */
  String newKey() {
    List<String> erased = new ArrayList<>();
    if (given.isOwner()) {
      erased.add(erasure(owner.element().asType()));
    }
    List<? extends VariableElement> parameters = method.element().getParameters();
    for (int i : kept()) {
      boolean last = isVarArgs() && i == parameters.size() - 1;
      if (last) {
        given.values().forEach(value -> erased.add(erasure(value.type())));
      }
      erased.add(erasure(parameters.get(i).asType()));
    }
    if (!isVarArgs()) {
      given.values().forEach(value -> erased.add(erasure(value.type())));
    }
    return Symbols.methodKey(route.target().binaryName(), name, erased);
  }

  private String erasure(TypeMirror type) {
    return route.program().types().erasure(type).toString();
  }

  /** The key of a symbol as the moved code sees it after the change. */
  String key(Element element) {
    if (element instanceof TypeParameterElement variable
        && (variables.contains(variable)
            || variable.getGenericElement().equals(method.element()))) {
      return Symbols.variableKey(variable.getSimpleName().toString(), newKey());
    }
    return route.program().symbols().key(element);
  }

  boolean returns() {
    return method.element().getReturnType().getKind() != TypeKind.VOID;
  }

  private Set<TypeParameterElement> neededVariables() {
    Set<TypeParameterElement> needed = new LinkedHashSet<>(route.code().variables());
    if (given.isOwner()) {
      needed.addAll(owner.element().getTypeParameters());
    }
    given.values().forEach(value -> collect(value.type(), needed));
    for (int size = -1; size < needed.size(); ) {
      size = needed.size();
      List.copyOf(needed)
          .forEach(each -> each.getBounds().forEach(bound -> collect(bound, needed)));
    }
    for (TypeParameterElement each : method.element().getTypeParameters()) {
      needed.remove(each);
      if (needed.stream().anyMatch(one -> one.getSimpleName().equals(each.getSimpleName()))) {
        throw Refused.because(
            RefusalKind.OWNER_TYPE_VARIABLE, route.subject(), owner.trees().place(method.tree()));
      }
    }
    return needed;
  }

  private void collect(TypeMirror type, Set<TypeParameterElement> found) {
    WritableType.variables(type).stream()
        .filter(variable -> variable.getGenericElement().equals(owner.element()))
        .forEach(found::add);
  }
}
