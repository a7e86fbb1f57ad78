package paredown.refactor.operation.value;

import java.util.Set;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.plan.Arguments;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.OwnerClass;

/** What must hold of a field before an object can hold its value. */
final class Wrappable {
  private static final Set<TypeKind> PLAIN =
      Set.of(TypeKind.INT, TypeKind.LONG, TypeKind.DOUBLE, TypeKind.FLOAT, TypeKind.BOOLEAN);

  /** Values that Java narrows where they are assigned, and not where they are given. */
  private static final Set<String> NARROW =
      Set.of("java.lang.Byte", "java.lang.Short", "java.lang.Character");

  private Wrappable() {}

  /**
   * Requires it.
   *
   * @throws Refused where it does not hold
   */
  static void require(OwnerClass owner, OwnerClass.Field field) {
    FieldDeclaration.requireAlone(owner, field, "a value of its own");
    if (field.is(Modifier.STATIC)) {
      throw refused(owner, field, RefusalKind.STATIC_CONTEXT, "it belongs to no object");
    }
    if (owner.element().getKind() == ElementKind.RECORD) {
      throw refused(owner, field, RefusalKind.NOT_A_CLASS, "it is a component of a record");
    }
    NestingKind nesting = owner.element().getNestingKind();
    if (nesting == NestingKind.LOCAL || nesting == NestingKind.ANONYMOUS) {
      throw refused(owner, field, RefusalKind.NOT_ALONE, "its class stands within a method");
    }
    if (field.element().getConstantValue() != null) {
      throw refused(owner, field, RefusalKind.CONSTANT_FIELD, RefusalKind.CONSTANT_FIELD.why());
    }
    TypeMirror type = field.element().asType();
    boolean declared =
        type instanceof DeclaredType known
            && known.getTypeArguments().isEmpty()
            && known.asElement() instanceof TypeElement element
            && element.getNestingKind() == NestingKind.TOP_LEVEL
            && !NARROW.contains(element.getQualifiedName().toString());
    if (!declared && !PLAIN.contains(type.getKind())) {
      throw refused(
          owner,
          field,
          RefusalKind.NOT_ALONE,
          "a value of the type %s is none yet".formatted(type));
    }
  }

  static Refused refused(OwnerClass owner, OwnerClass.Field field, RefusalKind kind, String why) {
    boolean elsewhere = kind == RefusalKind.STATIC_CONTEXT || kind == RefusalKind.NOT_A_CLASS;
    return new Cannot("%s cannot be a value of its own".formatted(field.name()))
        .because(
            kind,
            why,
            elsewhere
                ? "Write a class that is made of the value, then say pare change type %s --to CLASS."
                    .formatted(Arguments.quoted(owner.writtenName() + "#" + field.name()))
                : "",
            owner.trees().place(field.tree()));
  }
}
