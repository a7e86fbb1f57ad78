package paredown.smell;

import paredown.facts.MethodFact;
import paredown.facts.TypeFact;

/** An owned method is a method and the class that it stands in. */
public record Owned(TypeFact type, MethodFact method) {

  /** The class's name without its package. */
  public String owner() {
    return Finding.shortName(type.name());
  }
}
