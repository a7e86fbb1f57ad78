package paredown.refactor.operation.superclass;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.program.Below;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.use.OwnerClass;

/**
 * Whether the names of members that go up are free there: in the classes above, and in those beside
 * that inherit them then.
 */
final class FreeAbove {
  private final CommonMembers common;
  private final OwnerClass parent;
  private final Program program;
  private final Set<TypeElement> own = new LinkedHashSet<>();
  private final Set<TypeElement> below;
  private final List<TypeElement> beside;
  private final List<TypeElement> above;
  private final List<Beside> overriding = new ArrayList<>();

  /**
   * A method of a class beside that overrides now one that goes up.
   *
   * @param up the one that goes up
   */
  record Beside(OwnerClass owner, OwnerClass.Method method, OwnerClass.Method up) {

    String sentence(OwnerClass parent) {
      return "%s of %s overrides that of %s now."
          .formatted(OwnerClass.signature(method), owner.writtenName(), parent.writtenName());
    }
  }

  FreeAbove(CommonMembers common) {
    this.common = common;
    this.parent = common.parent();
    this.program = parent.program();
    common.owners().forEach(each -> own.add(each.element()));
    this.below = Below.of(program, List.of(parent.element()));
    this.beside =
        below.stream()
            .filter(each -> !own.contains(each))
            .filter(each -> program.supertypes(each).stream().noneMatch(own::contains))
            .toList();
    this.above =
        Stream.concat(Stream.of(parent.element()), program.supertypes(parent.element()).stream())
            .toList();
  }

  /** The classes below the one above that are none of these, nor below them. */
  List<TypeElement> beside() {
    return beside;
  }

  /** The methods of classes beside that override now what goes up. */
  List<Beside> overriding() {
    return overriding;
  }

  void require() {
    for (OwnerClass.Field each : common.fields()) {
      above.forEach(type -> requireNone(each, type));
      requireNoInterface(each);
    }
    for (OwnerClass.Method each : common.methods()) {
      above.forEach(type -> requireNoneAbove(each, type));
      if (!common.isKnownAbove(each)) {
        // What overrides a method already goes on doing that.
        beside.forEach(type -> requireNoneBeside(each, type));
      }
    }
    for (OwnerClass.Method each : common.abstracted()) {
      above.forEach(type -> requireNoneAbove(each, type));
    }
  }

  private void requireNone(OwnerClass.Field field, TypeElement type) {
    boolean has =
        ElementFilter.fieldsIn(type.getEnclosedElements()).stream()
            .anyMatch(other -> other.getSimpleName().contentEquals(field.name()));
    if (has) {
      throw taken(field.name(), type);
    }
  }

  /** A field that a class would inherit from two sides means neither. */
  private void requireNoInterface(OwnerClass.Field field) {
    below.stream()
        .flatMap(type -> program.supertypes(type).stream())
        .filter(type -> type.getKind().isInterface())
        .forEach(type -> requireNone(field, type));
  }

  private void requireNoneAbove(OwnerClass.Method method, TypeElement type) {
    for (ExecutableElement each : ElementFilter.methodsIn(type.getEnclosedElements())) {
      boolean announced =
          (each.getModifiers().contains(Modifier.ABSTRACT) || type.getKind().isInterface())
              && !method.is(Modifier.STATIC);
      if (isAlike(each, method.element()) && !announced && !isApart(each, type)) {
        throw taken(method.name(), type);
      }
    }
  }

  /** Whether a method of a type above can be said otherwise below it. */
  private boolean isApart(ExecutableElement method, TypeElement type) {
    return !type.equals(parent.element()) && (isPrivate(method) || isForTheseOnly());
  }

  /** Whether all objects of the class above are of these classes. */
  boolean isForTheseOnly() {
    program.requireBodiesBelow(parent.element());
    return beside.isEmpty() && parent.element().getModifiers().contains(Modifier.ABSTRACT);
  }

  private void requireNoneBeside(OwnerClass.Method method, TypeElement type) {
    for (ExecutableElement each : ElementFilter.methodsIn(type.getEnclosedElements())) {
      if (isAlike(each, method.element())) {
        OwnerClass owner = OwnerClass.of(program, type);
        if (owner == null || !canOverride(each, method.element())) {
          throw taken(method.name(), type);
        }
        owner.methods().stream()
            .filter(own -> own.element().equals(each))
            .forEach(own -> overriding.add(new Beside(owner, own, method)));
      }
    }
  }

  /**
   * Whether a method of a class beside may override one that goes up: nothing asked for it through
   * the class above before, so that whoever asked goes on asking the same.
   */
  private boolean canOverride(ExecutableElement beside, ExecutableElement up) {
    Set<Modifier> one = beside.getModifiers();
    Set<Modifier> other = up.getModifiers();
    boolean plain =
        !one.contains(Modifier.STATIC)
            && !other.contains(Modifier.STATIC)
            && !other.contains(Modifier.FINAL)
            && AccessLevel.of(beside).compareTo(AccessLevel.of(up)) >= 0;
    return plain
        && !isPrivate(beside)
        && program.types().isSubtype(beside.getReturnType(), up.getReturnType())
        && beside.getThrownTypes().stream()
            .allMatch(each -> isUnchecked(each) || isAmong(each, up.getThrownTypes()));
  }

  private boolean isAmong(TypeMirror type, List<? extends TypeMirror> wider) {
    return wider.stream().anyMatch(each -> program.types().isSubtype(type, each));
  }

  private boolean isUnchecked(TypeMirror thrown) {
    return Stream.of("java.lang.RuntimeException", "java.lang.Error")
        .map(name -> program.elements().getTypeElement(name).asType())
        .anyMatch(each -> program.types().isSubtype(thrown, each));
  }

  private static boolean isPrivate(ExecutableElement method) {
    return method.getModifiers().contains(Modifier.PRIVATE);
  }

  /** Whether two methods have one name, and parameters of the same types. */
  boolean isAlike(ExecutableElement one, ExecutableElement other) {
    return signature(one).equals(signature(other));
  }

  private String signature(ExecutableElement method) {
    String key = program.symbols().key(method);
    return key.substring(key.lastIndexOf('#'));
  }

  private Refused taken(String member, TypeElement type) {
    boolean below =
        !type.equals(parent.element())
            && !type.getKind().isInterface()
            && program.supertypes(type).contains(parent.element());
    return Refused.advising(
        RefusalKind.NAME_TAKEN,
        "%s cannot go up: %s has one of that name.".formatted(member, type.getSimpleName()),
        below
            ? "If it says the same, name that class, too; else rename one of them first:"
                + " pare rename --help."
            : "Rename one of them first: pare rename --help.",
        UnitTrees.place(program, type).orElse(parent.trees().place(parent.tree())));
  }
}
