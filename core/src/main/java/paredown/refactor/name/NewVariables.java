package paredown.refactor.name;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Written;
import paredown.program.Symbols;

/** The type variables of something new, each with the name of one that there is. */
public final class NewVariables {
  private final List<TypeParameterElement> like;
  private final boolean bounded;

  private NewVariables(Collection<? extends TypeParameterElement> like, boolean bounded) {
    this.like = List.copyOf(like);
    this.bounded = bounded;
  }

  /** Variables like others, which can be any type. */
  public static NewVariables unbounded(Collection<? extends TypeParameterElement> named) {
    return new NewVariables(named, false);
  }

  /**
   * Variables like others, with the same bounds.
   *
   * @param named the others; those that their bounds name come with them
   */
  public static NewVariables bounded(Collection<? extends TypeParameterElement> named) {
    Set<TypeParameterElement> all = new LinkedHashSet<>(named);
    boolean more = true;
    while (more) {
      Set<TypeParameterElement> bounds = new LinkedHashSet<>();
      all.forEach(each -> each.getBounds().forEach(b -> bounds.addAll(WritableType.variables(b))));
      more = all.addAll(bounds);
    }
    return new NewVariables(all, true);
  }

  /** The same in the order in which a class or method declares the others. */
  public NewVariables inOrder(List<? extends TypeParameterElement> declared) {
    List<TypeParameterElement> ordered = new ArrayList<>(declared);
    ordered.retainAll(like);
    return new NewVariables(ordered, bounded);
  }

  /** Those that they are like. */
  public List<TypeParameterElement> like() {
    return like;
  }

  /**
   * The keys of symbols where the variables mean the new ones.
   *
   * @param generic the key of what has the new ones
   */
  public Function<Element, String> keys(Symbols symbols, String generic) {
    return element ->
        element instanceof TypeParameterElement variable && like.contains(variable)
            ? Symbols.variableKey(variable.getSimpleName().toString(), generic)
            : symbols.key(element);
  }

  /** Whether a type that names variables can be written only where these have bounds. */
  public static boolean needsBounds(TypeMirror type) {
    if (WritableType.variables(type).isEmpty()) {
      return false;
    }
    if (type instanceof ArrayType array) {
      return needsBounds(array.getComponentType());
    }
    return type instanceof DeclaredType declared
        && (declared.getTypeArguments().stream().anyMatch(NewVariables::needsBounds)
            || ((TypeElement) declared.asElement())
                .getTypeParameters().stream()
                    .flatMap(each -> each.getBounds().stream())
                    .anyMatch(bound -> !isObject(bound)));
  }

  private static boolean isObject(TypeMirror bound) {
    return bound.toString().equals("java.lang.Object");
  }

  /** Writes their declaration; nothing where there is none. */
  public void declare(Written.Text text, TypeNames names, TypeElement scope) {
    String separator = "<";
    for (TypeParameterElement each : like) {
      text.text(separator + each.getSimpleName());
      String before = " extends ";
      for (TypeMirror bound : each.getBounds()) {
        if (bounded && !isObject(bound)) {
          names.write(text.text(before), bound, scope);
          before = " & ";
        }
      }
      separator = ", ";
    }
    text.text(like.isEmpty() ? "" : ">");
  }
}
