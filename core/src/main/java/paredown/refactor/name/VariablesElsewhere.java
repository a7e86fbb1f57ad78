package paredown.refactor.name;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.TypeVariable;
import javax.lang.model.type.WildcardType;
import javax.lang.model.util.Types;
import paredown.program.Symbols;

/**
 * What the type variables of a class are in another class of its family: with {@code class
 * Ledger<E> extends Book<E>}, the {@code E} of the one is the variable of the other.
 */
public final class VariablesElsewhere {
  private final Types types;
  private final Map<TypeParameterElement, TypeMirror> elsewhere = new LinkedHashMap<>();

  private VariablesElsewhere(Types types) {
    this.types = types;
  }

  /** What the variables of a class are in the one that it extends: those that are passed on. */
  public static VariablesElsewhere above(Types types, TypeElement below) {
    VariablesElsewhere found = new VariablesElsewhere(types);
    found
        .given(below)
        .forEach(
            (above, given) -> {
              if (given instanceof TypeVariable own
                  && own.asElement() instanceof TypeParameterElement variable
                  && below.getTypeParameters().contains(variable)
                  && found.isErasedAlike(own, above.asType())) {
                found.elsewhere.putIfAbsent(variable, above.asType());
              }
            });
    return found;
  }

  /** What the variables of the class that another extends are in that. */
  public static VariablesElsewhere below(Types types, TypeElement below) {
    VariablesElsewhere found = new VariablesElsewhere(types);
    found.elsewhere.putAll(found.given(below));
    return found;
  }

  /** What the variables of a class are in another with variables in the same places. */
  public static VariablesElsewhere beside(Types types, TypeElement one, TypeElement other) {
    VariablesElsewhere found = new VariablesElsewhere(types);
    int both = Math.min(one.getTypeParameters().size(), other.getTypeParameters().size());
    for (int i = 0; i < both; i++) {
      TypeParameterElement variable = one.getTypeParameters().get(i);
      found.elsewhere.put(variable, other.getTypeParameters().get(i).asType());
    }
    return found;
  }

  /** What is known of some variables. */
  public static VariablesElsewhere where(Types types, Map<TypeParameterElement, TypeMirror> known) {
    VariablesElsewhere found = new VariablesElsewhere(types);
    found.elsewhere.putAll(known);
    return found;
  }

  /** What a class gives to each variable of the one that it extends. */
  private Map<TypeParameterElement, TypeMirror> given(TypeElement below) {
    Map<TypeParameterElement, TypeMirror> given = new LinkedHashMap<>();
    if (below.getSuperclass() instanceof DeclaredType type
        && type.asElement() instanceof TypeElement above) {
      List<? extends TypeMirror> arguments = type.getTypeArguments();
      for (int i = 0; i < arguments.size(); i++) {
        given.put(above.getTypeParameters().get(i), arguments.get(i));
      }
    }
    return given;
  }

  private boolean isErasedAlike(TypeMirror one, TypeMirror other) {
    return types.isSameType(types.erasure(one), types.erasure(other));
  }

  /**
   * The variable that one is there; empty where it is none.
   *
   * @return only one that code can be compiled with as it was: both are erased to the same type
   */
  public Optional<TypeParameterElement> variable(TypeParameterElement variable) {
    return elsewhere.get(variable) instanceof TypeVariable other
            && other.asElement() instanceof TypeParameterElement there
            && isErasedAlike(variable.asType(), other)
        ? Optional.of(there)
        : Optional.empty();
  }

  /** What the variables are there, by their names, as types are shown. */
  public Map<String, String> shown(Symbols symbols) {
    Map<String, String> shown = new LinkedHashMap<>();
    elsewhere.forEach(
        (variable, type) -> shown.put(variable.getSimpleName().toString(), symbols.text(type)));
    return shown;
  }

  /** A type as it is written there. */
  public TypeMirror in(TypeMirror type) {
    if (WritableType.variables(type).stream().noneMatch(elsewhere::containsKey)) {
      return type;
    }
    return switch (type.getKind()) {
      case TYPEVAR -> elsewhere.get((TypeParameterElement) ((TypeVariable) type).asElement());
      case ARRAY -> types.getArrayType(in(((ArrayType) type).getComponentType()));
      case WILDCARD -> {
        WildcardType wildcard = (WildcardType) type;
        yield types.getWildcardType(
            inBound(wildcard.getExtendsBound()), inBound(wildcard.getSuperBound()));
      }
      case DECLARED -> declared((DeclaredType) type);
      default -> type;
    };
  }

  private TypeMirror inBound(TypeMirror bound) {
    return bound == null ? null : in(bound);
  }

  private TypeMirror declared(DeclaredType type) {
    TypeMirror[] arguments =
        type.getTypeArguments().stream().map(this::in).toArray(TypeMirror[]::new);
    TypeElement element = (TypeElement) type.asElement();
    return type.getEnclosingType().getKind() == TypeKind.DECLARED
        ? types.getDeclaredType((DeclaredType) in(type.getEnclosingType()), element, arguments)
        : types.getDeclaredType(element, arguments);
  }
}
