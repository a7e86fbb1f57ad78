package paredown.facts;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A type fact is what one declared type consists of.
 *
 * @param name its canonical name
 * @param supertypes canonical names of all types above it
 * @param hasErrors whether its file holds errors, so that what it uses is not fully known
 */
public record TypeFact(
    String name,
    Kind kind,
    Range range,
    Set<String> supertypes,
    List<FieldFact> fields,
    List<MethodFact> methods,
    boolean hasErrors) {

  public TypeFact {
    supertypes = Set.copyOf(supertypes);
    fields = List.copyOf(fields);
    methods = List.copyOf(methods);
  }

  /** The kinds of types that are told apart. */
  public enum Kind {
    CLASS,
    INTERFACE,
    ENUM,
    RECORD,
    ANNOTATION
  }

  public String simpleName() {
    return name.substring(name.lastIndexOf('.') + 1);
  }

  public Optional<FieldFact> field(String field) {
    return fields.stream().filter(each -> each.name().equals(field)).findFirst();
  }

  /** The fields that each object has of its own. */
  public List<FieldFact> instanceFields() {
    return fields.stream().filter(field -> !field.isStatic()).toList();
  }
}
