package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.ClassTree;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/**
 * A class that can go in no way: why not, by what comes nearest to it.
 *
 * @param home the class that is meant to take its place; empty where any may
 */
record NoWay(OwnerClass owner, Optional<OwnerClass> home) {

  Refused refused() {
    return new Cannot(
            "%s cannot be inlined%s"
                .formatted(
                    owner.writtenName(),
                    home.map(each -> " into " + each.writtenName()).orElse("")))
        .because(
            RefusalKind.DOES_MORE,
            why(),
            "Move its members where they belong first: pare move method --help.",
            owner.trees().place(owner.tree()));
  }

  private String why() {
    ElementKind kind = owner.element().getKind();
    if (kind != ElementKind.CLASS) {
      return "it is %s %s, and only a class can go"
          .formatted(kind == ElementKind.RECORD ? "a" : "an", kind.name().toLowerCase(Locale.ROOT));
    }
    if (!owner.element().getTypeParameters().isEmpty()) {
      return "it has type parameters";
    }
    if (!owner.initialisers().isEmpty()) {
      return "it has an initialiser, which would run at another moment";
    }
    if (owner.tree().getMembers().stream().anyMatch(ClassTree.class::isInstance)) {
      return "it declares a type of its own";
    }
    if (owner.tree().getExtendsClause() != null) {
      return added().isEmpty()
          ? "it is something that %s is not".formatted(above())
          : "it adds something to %s: %s".formatted(above(), Listed.of(added()));
    }
    if (owner.element().getModifiers().contains(Modifier.ABSTRACT)) {
      return "it is abstract, so that others rest on it";
    }
    return unheld();
  }

  private String above() {
    return simpleName(owner.element().getSuperclass());
  }

  private String simpleName(TypeMirror type) {
    return owner.program().types().asElement(type).getSimpleName().toString();
  }

  /** The names of its first members. */
  private List<String> added() {
    List<String> fields = owner.fields().stream().map(OwnerClass.Field::name).toList();
    List<String> methods = owner.methods().stream().map(OwnerClass::signature).toList();
    return (methods.isEmpty() ? fields : methods).stream().limit(3).toList();
  }

  private String unheld() {
    List<String> fields = HeldObject.fields(owner, home);
    boolean helpers =
        !owner.methods().isEmpty()
            && owner.methods().stream().allMatch(each -> each.is(Modifier.STATIC));
    if (helpers && fields.isEmpty()) {
      return "it is more than static helpers: it has a field that changes, or objects";
    }
    if (fields.size() > 1) {
      return "more than one field holds an object of it: %s"
          .formatted(Listed.of(fields.stream().limit(3).toList()));
    }
    if (fields.isEmpty() && !owner.element().getInterfaces().isEmpty()) {
      return "it is a %s, and no class that holds an object of it is one"
          .formatted(simpleName(owner.element().getInterfaces().get(0)));
    }
    return "it does more than pass on to another object, and %s"
        .formatted(
            fields.isEmpty()
                ? "no field holds an object of it"
                : "the object in %s belongs to one around it".formatted(fields.get(0)));
  }
}
