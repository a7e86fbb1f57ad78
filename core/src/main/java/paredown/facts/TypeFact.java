package paredown.facts;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Modifier;

/**
 * A type fact is what one declared type consists of.
 *
 * @param name its canonical name
 * @param superclass canonical name of the class it extends; empty where it is Object or none
 * @param supertypes canonical names of all types above it
 * @param outer canonical name of the type it is nested in; empty where it is none
 * @param initialising what its field initialisers and initialiser blocks do
 * @param mentions canonical names of the project's types that its text names anywhere
 * @param hasErrors whether its file holds errors, so that what it uses is not fully known
 */
public record TypeFact(
    String name,
    Kind kind,
    Head head,
    Range range,
    String superclass,
    Set<String> supertypes,
    String outer,
    List<FieldFact> fields,
    List<MethodFact> methods,
    Body initialising,
    Set<String> mentions,
    boolean hasErrors) {

  public TypeFact {
    supertypes = Ordered.copy(supertypes);
    fields = Keyed.of(fields, FieldFact::name);
    methods = Keyed.of(methods, MethodFact::signature);
    mentions = Ordered.copy(mentions);
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
    return ((Keyed<FieldFact>) fields).find(field);
  }

  public Optional<MethodFact> method(String signature) {
    return ((Keyed<MethodFact>) methods).find(signature);
  }

  /** The fields that each object has of its own. */
  public List<FieldFact> instanceFields() {
    return fields.stream().filter(field -> !field.isStatic()).toList();
  }

  /** The constructors that are written. */
  public List<MethodFact> constructors() {
    return methods.stream().filter(MethodFact::isConstructor).toList();
  }

  public boolean isException() {
    return supertypes.contains("java.lang.Throwable");
  }

  public boolean isAbstract() {
    return head.is(Modifier.ABSTRACT);
  }

  public boolean isPublic() {
    return head.is(Modifier.PUBLIC);
  }

  /** Whether another type stands in the same file. */
  public boolean sharesFileWith(TypeFact other) {
    return range.file().equals(other.range.file());
  }

  /** Whether one of the two is above the other. */
  public boolean isKinOf(TypeFact other) {
    return supertypes.contains(other.name) || other.supertypes.contains(name);
  }

  /** By its name and place alone; what it consists of would take long to add up. */
  @Override
  public int hashCode() {
    return 31 * name.hashCode() + range.hashCode();
  }

  /** Whether it is a plain class: no interface, enum, record or annotation. */
  public boolean isClass() {
    return kind == Kind.CLASS;
  }
}
