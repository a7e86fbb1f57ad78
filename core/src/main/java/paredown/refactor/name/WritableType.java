package paredown.refactor.name;

import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.TypeVariable;
import javax.lang.model.type.WildcardType;

/** Tells which types can be written down, and what that depends on. */
public final class WritableType {
  private WritableType() {}

  /** The type variables that a type mentions. */
  public static Set<TypeParameterElement> variables(TypeMirror type) {
    Set<TypeParameterElement> found = new LinkedHashSet<>();
    collect(type, found);
    return found;
  }

  private static void collect(TypeMirror type, Set<TypeParameterElement> found) {
    if (type instanceof TypeVariable variable) {
      if (variable.asElement() instanceof TypeParameterElement parameter) {
        found.add(parameter);
      }
    } else if (type instanceof DeclaredType declared) {
      declared.getTypeArguments().forEach(argument -> collect(argument, found));
    } else if (type instanceof ArrayType array) {
      collect(array.getComponentType(), found);
    } else if (type instanceof WildcardType wildcard) {
      Optional.ofNullable(wildcard.getExtendsBound()).ifPresent(bound -> collect(bound, found));
      Optional.ofNullable(wildcard.getSuperBound()).ifPresent(bound -> collect(bound, found));
    }
  }

  /** Whether a type can be written down at all. */
  public static boolean is(TypeMirror type) {
    return switch (type.getKind()) {
      case ARRAY -> is(((ArrayType) type).getComponentType());
      case TYPEVAR -> !((TypeVariable) type).asElement().getSimpleName().toString().contains(" ");
      case WILDCARD -> true;
      case DECLARED -> {
        var declared = (DeclaredType) type;
        TypeElement element = (TypeElement) declared.asElement();
        yield element.getNestingKind() != NestingKind.LOCAL
            && element.getNestingKind() != NestingKind.ANONYMOUS
            && isPlain(declared.getEnclosingType())
            && declared.getTypeArguments().stream().allMatch(WritableType::is);
      }
      default -> type.getKind().isPrimitive();
    };
  }

  /** Whether the type around an inner one says nothing that a name would lack. */
  private static boolean isPlain(TypeMirror around) {
    return around.getKind() == TypeKind.NONE
        || around instanceof DeclaredType declared
            && declared.getTypeArguments().isEmpty()
            && isPlain(declared.getEnclosingType());
  }
}
