package paredown.refactor.operation.movemethod;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.Types;
import paredown.UnusableRequest;
import paredown.refactor.use.OwnerClass;

/** Chooses how a method finds the object that it moves to. */
final class ThroughChoice {
  private final OwnerClass owner;
  private final OwnerClass target;
  private final OwnerClass.Method method;

  ThroughChoice(OwnerClass owner, OwnerClass target, OwnerClass.Method method) {
    this.owner = owner;
    this.target = target;
    this.method = method;
  }

  /**
   * The way that is wished, or the only plain one.
   *
   * @throws UnusableRequest where there is no such way, or a wish is needed
   */
  Through of(Optional<String> wish) {
    List<Through> linked = linked();
    if (wish.isEmpty()) {
      return plain(linked);
    }
    String word = wish.get();
    if (word.equals("static")) {
      return new Through.Nothing();
    }
    if (word.equals("new") || word.equals("new-field")) {
      return new Through.Fresh(word.equals("new-field"));
    }
    if (word.equals("callers")) {
      return new Through.Callers();
    }
    return linked.stream()
        .filter(each -> each.word().equals(word))
        .findFirst()
        .orElseThrow(
            () ->
                new UnusableRequest(
                    "%s does not reach a %s through %s."
                        .formatted(OwnerClass.signature(method), target.simpleName(), word),
                    "It can be reached through " + words(linked) + "."));
  }

  private Through plain(List<Through> linked) {
    List<Through> given = linked.stream().filter(Through.Parameter.class::isInstance).toList();
    if (given.size() == 1 || linked.size() == 1) {
      return given.size() == 1 ? given.get(0) : linked.get(0);
    }
    if (linked.size() > 1) {
      throw new UnusableRequest(
          "%s reaches a %s in several ways."
              .formatted(OwnerClass.signature(method), target.simpleName()),
          "Say which with --through: " + words(linked) + ".");
    }
    if (method.is(Modifier.STATIC)) {
      return new Through.Nothing();
    }
    requireNoKin();
    throw new UnusableRequest(
        "%s has no link to %s.".formatted(OwnerClass.signature(method), target.writtenName()),
        "Say --through static for a static method, --through new to ask a new object each time,"
            + " --through new-field to keep one in a new field, or --through callers to let each"
            + " caller ask the object that it has.");
  }

  private static String words(List<Through> linked) {
    return linked.stream().map(Through::word).collect(Collectors.joining(", "))
        + (linked.isEmpty() ? "" : ", ")
        + "static, new, new-field or callers";
  }

  private List<Through> linked() {
    List<Through> found = new ArrayList<>();
    List<? extends VariableElement> parameters = method.element().getParameters();
    for (int i = 0; i < parameters.size(); i++) {
      if (isTarget(parameters.get(i))
          && !(method.element().isVarArgs() && i == parameters.size() - 1)) {
        found.add(new Through.Parameter(i, parameters.get(i)));
      }
    }
    if (!method.is(Modifier.STATIC)) {
      owner.fields().stream()
          .filter(field -> isTarget(field.element()) && !field.is(Modifier.STATIC))
          .forEach(field -> found.add(new Through.Field(field.element())));
      if (isAround()) {
        found.add(new Through.Around());
      }
    }
    return found;
  }

  private boolean isTarget(VariableElement variable) {
    Types types = owner.program().types();
    return types.isSameType(
        types.erasure(variable.asType()), types.erasure(target.element().asType()));
  }

  /** Whether each object of the owner has one of the target around it. */
  private boolean isAround() {
    for (Element at = owner.element(); at instanceof TypeElement; at = at.getEnclosingElement()) {
      if (at.equals(target.element())) {
        return true;
      }
      if (at.getKind() != ElementKind.CLASS || at.getModifiers().contains(Modifier.STATIC)) {
        return false;
      }
    }
    return false;
  }

  /** A class above or below is another matter: it is the object's own. */
  private void requireNoKin() {
    var supertypes = owner.program().supertypes(owner.element());
    boolean up = supertypes.contains(target.element());
    boolean down = owner.program().supertypes(target.element()).contains(owner.element());
    if (up || down) {
      String member = owner.simpleName() + "#" + OwnerClass.signature(method);
      throw new UnusableRequest(
          "%s is %s %s."
              .formatted(target.writtenName(), up ? "above" : "below", owner.writtenName()),
          up
              ? "Say pare move up '%s'.".formatted(member)
              : "Say pare move down '%s' --to %s.".formatted(member, target.simpleName()));
    }
  }
}
