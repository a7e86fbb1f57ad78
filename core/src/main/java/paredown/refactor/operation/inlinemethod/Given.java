package paredown.refactor.operation.inlinemethod;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.ValueInPlace;
import paredown.refactor.code.Words;
import paredown.refactor.code.Writes;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Between;
import paredown.refactor.flow.Shift;
import paredown.refactor.name.TypeNames;
import paredown.refactor.nulls.NonNull;
import paredown.refactor.nulls.NullDoubt;
import paredown.refactor.use.OwnerClass;

/** What a call gives to the code of a method: its object, and its arguments in their order. */
final class Given {
  private final OwnerClass owner;
  private final OwnerClass.Method method;
  private final Body body;
  private final BodyNames names;
  private final Call call;
  private final TypeNames types;
  private final TypesThere there;
  private final Program program;
  private final CalmCalls calm;
  private final Assumptions assumptions;
  private Value object;
  private final List<Value> arguments = new ArrayList<>();
  private final Optional<Collected> several;
  private final List<Value> collected = new ArrayList<>();

  Given(
      OwnerClass owner,
      OwnerClass.Method method,
      Body body,
      BodyNames names,
      Call call,
      TypeNames types,
      TypesThere there,
      CalmCalls calm,
      Assumptions assumptions) {
    this.owner = owner;
    this.method = method;
    this.body = body;
    this.names = names;
    this.call = call;
    this.types = types;
    this.there = there;
    this.program = owner.program();
    this.calm = calm;
    this.assumptions = assumptions;
    if (call.receiver() != null) {
      List<TreePath> uses = names.selves().stream().map(BodyNames.Self::path).toList();
      object = value(Words.variable(owner.simpleName()), type(), call.receiver(), uses);
    }
    List<? extends VariableElement> parameters = method.element().getParameters();
    Set<Element> written = Writes.in(program, body.path());
    this.several = Collected.of(method, call, names, written);
    int alone = several.map(Collected::index).orElse(parameters.size());
    for (int i = 0; i < alone; i++) {
      VariableElement each = parameters.get(i);
      Value value =
          value(
              each.getSimpleName().toString(),
              there.in(each.asType()),
              call.argument(i),
              names.uses(each));
      arguments.add(written.contains(each) ? value.held(changed(call.argument(i))) : value);
    }
    several.ifPresent(
        all ->
            all.values()
                .forEach(
                    each ->
                        collected.add(value(all.name(), there.in(all.type()), each, all.uses()))));
    hold();
  }

  private TypeMirror type() {
    TypeMirror type = program.trees().getTypeMirror(call.receiver());
    return type == null ? owner.element().asType() : type;
  }

  private static Shift.Obstacle changed(TreePath at) {
    return new Shift.Obstacle(RefusalKind.VALUE_CHANGES, "the code sets its parameter", at);
  }

  private Value value(String name, TypeMirror type, TreePath path, List<TreePath> uses) {
    Assumptions own = new Assumptions();
    Shift shift = new Shift(program, calm, path, type, own);
    Optional<Shift.Obstacle> why = obstacle(shift, path, uses);
    if (why.isEmpty()) {
      assumptions.addAll(own.all());
    }
    return new Value(
        name, type, path, uses, shift, new ValueInPlace(call.trees(), path, type, types), why);
  }

  /** Why a value cannot stand where the code names it. */
  private Optional<Shift.Obstacle> obstacle(Shift shift, TreePath path, List<TreePath> uses) {
    if (uses.isEmpty()) {
      return shift.isOmissible()
          ? Optional.empty()
          : Optional.of(
              new Shift.Obstacle(
                  RefusalKind.RUNS_OFTEN,
                  "working a value out could show, and nobody needs it",
                  path));
    }
    boolean code =
        path.getLeaf() instanceof LambdaExpressionTree
            || path.getLeaf() instanceof MemberReferenceTree;
    if (code && uses.stream().anyMatch(Given::isAsked)) {
      return Optional.of(
          new Shift.Obstacle(RefusalKind.CALL_SHAPE, "a lambda can be asked for nothing", path));
    }
    if (uses.size() > 1) {
      Optional<Shift.Obstacle> met = shift.repeated(uses);
      if (met.isPresent()) {
        return met;
      }
    }
    for (TreePath use : uses) {
      Optional<Shift.Obstacle> met = shift.over(between(use));
      if (met.isPresent()) {
        return met;
      }
    }
    return Optional.empty();
  }

  private static boolean isAsked(TreePath use) {
    return use.getParentPath().getLeaf() instanceof MemberSelectTree;
  }

  private Between between(TreePath use) {
    return Between.of(body.trees(), body.trees().start(body.path().getLeaf()) + 1, use);
  }

  /**
   * Values are worked out in their order. Where one does something, and another is not the same at
   * any time, all stay in front of the code.
   */
  private void hold() {
    List<Value> all = all();
    List<Value> acting = all.stream().filter(each -> !each.shift().isQuiet()).toList();
    boolean disturbed =
        acting.stream()
            .anyMatch(
                one ->
                    all.stream()
                        .anyMatch(
                            other -> other != one && !other.shift().isUntouchedBy(one.path())));
    // What one variable holds is worked out before the code, so what acts may not wait behind it.
    boolean mixed = all.stream().anyMatch(Value::needsVariable) && !acting.isEmpty();
    if (disturbed || mixed) {
      TreePath at = acting.get(0).path();
      Shift.Obstacle why =
          new Shift.Obstacle(
              RefusalKind.CALL_ORDER,
              "the values of the call would be worked out in another order",
              at);
      if (object != null) {
        object = object.held(why);
      }
      arguments.replaceAll(each -> each.needsVariable() ? each : each.held(why));
      collected.replaceAll(each -> each.needsVariable() ? each : each.held(why));
    }
  }

  /** All values in the order in which the call works them out. */
  List<Value> all() {
    List<Value> all = new ArrayList<>();
    if (object != null) {
      all.add(object);
    }
    all.addAll(arguments);
    all.addAll(collected);
    return all;
  }

  /** The arguments that take the place of a parameter each. */
  List<Value> arguments() {
    return arguments;
  }

  /** The arguments that all take the place of the last parameter. */
  List<Value> collected() {
    return collected;
  }

  /** Where the code names the parameter that they take the place of. */
  List<TreePath> collectedUses() {
    return several.map(Collected::uses).orElse(List.of());
  }

  /** What stands at the call for an expression of the method: what it was given, or itself. */
  ExpressionTree said(TreePath expression) {
    return (ExpressionTree)
        arguments.stream()
            .filter(value -> !value.needsVariable())
            .filter(
                value ->
                    value.uses().stream().anyMatch(use -> use.getLeaf() == expression.getLeaf()))
            .map(value -> value.path().getLeaf())
            .findFirst()
            .orElse(expression.getLeaf());
  }

  /** The object that is asked; null where it is the same one, or there is none. */
  Value object() {
    return object;
  }

  /**
   * Requires that the object is surely there, or that its lack shows as before.
   *
   * @throws Refused where the sources say that it could lack
   */
  void requireObject() {
    if (object == null || NonNull.is(program, object.path())) {
      return;
    }
    boolean asked =
        !object.needsVariable()
            && !object.uses().isEmpty()
            && names.selves().get(0).member() != null
            && isPlain(between(object.uses().get(0)));
    if (asked) {
      return;
    }
    if (NullDoubt.isStated(program, object.path())) {
      throw Refused.advising(
          RefusalKind.MAYBE_NULL,
          "%s could be null where %s is called.".formatted(object.path().getLeaf(), method.name()),
          "Check it there first.",
          call.place());
    }
    assumptions.add(
        Assumption.Kind.NULL,
        "%s is never null here".formatted(object.path().getLeaf()),
        call.place());
  }

  /** Whether nothing shows, and nothing can be skipped, before a place is reached. */
  private boolean isPlain(Between between) {
    return !between.perhaps()
        && !between.later()
        && !between.guarded()
        && between.code().stream().allMatch(code -> calm.effects().of(code).kinds().isEmpty());
  }
}
