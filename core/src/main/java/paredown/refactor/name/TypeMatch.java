package paredown.refactor.name;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.TypeVariable;
import javax.lang.model.type.WildcardType;

/** What type variables must be so that types which name them are other types. */
public final class TypeMatch {
  private final Predicate<TypeParameterElement> wanted;
  private final Map<TypeParameterElement, TypeMirror> found = new LinkedHashMap<>();

  /**
   * A match of nothing yet.
   *
   * @param wanted tells the variables that are looked for
   */
  public TypeMatch(Predicate<TypeParameterElement> wanted) {
    this.wanted = wanted;
  }

  /** What each variable is, as far as it is known; what was found first stays. */
  public Map<TypeParameterElement, TypeMirror> found() {
    return found;
  }

  /** Lays a type that names variables beside the one that it is elsewhere. */
  public void add(TypeMirror declared, TypeMirror given) {
    if (declared instanceof TypeVariable variable) {
      if (variable.asElement() instanceof TypeParameterElement parameter
          && wanted.test(parameter)) {
        found.putIfAbsent(parameter, given);
      }
    } else if (declared instanceof DeclaredType one && given instanceof DeclaredType other) {
      all(one.getTypeArguments(), other.getTypeArguments());
    } else if (declared instanceof ArrayType one && given instanceof ArrayType other) {
      add(one.getComponentType(), other.getComponentType());
    } else if (declared instanceof WildcardType one && given instanceof WildcardType other) {
      bound(one.getExtendsBound(), other.getExtendsBound());
      bound(one.getSuperBound(), other.getSuperBound());
    }
  }

  /** Lays several types beside as many others. */
  public void all(List<? extends TypeMirror> declared, List<? extends TypeMirror> given) {
    for (int i = 0; i < Math.min(declared.size(), given.size()); i++) {
      add(declared.get(i), given.get(i));
    }
  }

  private void bound(TypeMirror declared, TypeMirror given) {
    if (declared != null && given != null) {
      add(declared, given);
    }
  }
}
