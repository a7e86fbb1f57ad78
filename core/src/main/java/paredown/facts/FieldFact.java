package paredown.facts;

import javax.lang.model.element.Modifier;

/**
 * A field fact is one field of a type.
 *
 * @param type its type as it is written
 */
public record FieldFact(String name, String type, Head head, Range range) {
  public boolean isStatic() {
    return head.is(Modifier.STATIC);
  }

  public boolean isFinal() {
    return head.is(Modifier.FINAL);
  }

  public boolean isPrivate() {
    return head.is(Modifier.PRIVATE);
  }

  public boolean isConstant() {
    return isStatic() && isFinal();
  }
}
