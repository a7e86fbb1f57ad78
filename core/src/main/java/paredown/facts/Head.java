package paredown.facts;

import java.util.Set;
import javax.lang.model.element.Modifier;

/**
 * A head is what is written before a declaration.
 *
 * @param annotations the simple names of its annotations
 * @param living the smells that it says it can live with: {@code @SuppressWarnings("pare:NAME")}
 */
public record Head(Set<Modifier> modifiers, Set<String> annotations, Set<String> living) {
  private static final Set<String> HARMLESS =
      Set.of("Override", "Deprecated", "SuppressWarnings", "SafeVarargs", "FunctionalInterface");

  public Head {
    modifiers = Ordered.copy(modifiers);
    annotations = Ordered.copy(annotations);
    living = Ordered.copy(living);
  }

  public boolean is(Modifier modifier) {
    return modifiers.contains(modifier);
  }

  public boolean isDeprecated() {
    return annotations.contains("Deprecated");
  }

  /** Whether it has an annotation that a framework could act upon. */
  public boolean isFramed() {
    return !HARMLESS.containsAll(annotations);
  }
}
