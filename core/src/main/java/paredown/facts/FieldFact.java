package paredown.facts;

/**
 * A field fact is one field of a type.
 *
 * @param type its type as it is written
 */
public record FieldFact(
    String name, String type, boolean isStatic, boolean isFinal, boolean isPrivate, Range range) {}
