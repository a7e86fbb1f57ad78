package paredown.facts;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;

/**
 * A method fact is one method or constructor of a type, and what its body uses.
 *
 * @param signature its name with the simple names of its parameters' types
 * @param result its result type as it is written; empty for a constructor
 * @param overrides whether it overrides or implements an inherited method
 * @param returned the field of its own that it only returns; empty where it does more
 * @param assigns whether it only sets a field of its own to its parameter
 * @param forwards the member that it only passes its own parameters on to, or its object with them,
 *     and through what
 * @param passesUp whether it is a constructor that only gives what it is given to the class above
 */
public record MethodFact(
    String name,
    String signature,
    Head head,
    List<Parameter> parameters,
    String result,
    boolean isConstructor,
    boolean overrides,
    String returned,
    boolean assigns,
    Optional<Access> forwards,
    boolean passesUp,
    Body body,
    Range range) {

  private static final Set<String> OF_ANY_OBJECT =
      Set.of("toString", "equals", "hashCode", "compareTo");

  public MethodFact {
    parameters = List.copyOf(parameters);
  }

  /** A parameter: its name, and its type as it is written. */
  public record Parameter(String name, String type) {}

  /**
   * A use of a member.
   *
   * @param type the canonical name of the type that declares it
   * @param member a field's name, or a method's signature
   */
  public record MemberUse(Kind kind, String type, String member) {
    /** What is done with the member. */
    public enum Kind {
      READ,
      WRITE,
      CALL,
      CREATE
    }
  }

  public boolean isStatic() {
    return head.is(Modifier.STATIC);
  }

  public boolean isPrivate() {
    return head.is(Modifier.PRIVATE);
  }

  /** Whether it has no body. */
  public boolean isAbstract() {
    return body == Body.NONE;
  }

  /** McCabe's cyclomatic complexity; 0 without body. */
  public int branches() {
    return body.branches();
  }

  public Set<MemberUse> uses() {
    return body.uses();
  }

  /** Whether it only gives a field's value. */
  public boolean isGetter() {
    return !returned.isEmpty();
  }

  /** Whether it only sets a field. */
  public boolean isSetter() {
    return assigns;
  }

  /** Whether it is called as what objects of any class are asked for. */
  public boolean isOfAnyObject() {
    return OF_ANY_OBJECT.contains(name);
  }

  public boolean isAccessor() {
    return isGetter() || isSetter();
  }

  /** The names of the fields of a type that it reads or writes, in the order of their use. */
  public Set<String> fieldsOf(String type) {
    return uses().stream()
        .filter(use -> use.type().equals(type))
        .filter(use -> use.kind() == MemberUse.Kind.READ || use.kind() == MemberUse.Kind.WRITE)
        .map(MemberUse::member)
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  /** Whether it does more than give or set a field, or pass a call on. */
  public boolean works() {
    return !isAccessor() && forwards.isEmpty();
  }

  /** The signatures of the methods of a type that it calls, in the order of their use. */
  public Set<String> callsOf(String type) {
    return uses().stream()
        .filter(use -> use.type().equals(type) && use.kind() == MemberUse.Kind.CALL)
        .map(MemberUse::member)
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  /** By its name and place alone; what it consists of would take long to add up. */
  @Override
  public int hashCode() {
    return 31 * signature.hashCode() + range.hashCode();
  }

  /** Whether it is a method of an object, and has a body. */
  public boolean isOfObject() {
    return !isConstructor() && !isStatic() && !isAbstract();
  }
}
