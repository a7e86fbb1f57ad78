package paredown.facts;

import java.util.Set;
import java.util.stream.Collectors;

/**
 * A method fact is one method or constructor of a type, and what its body uses.
 *
 * @param signature its name with the simple names of its parameters' types
 * @param branches the decisions in its body and one, McCabe's cyclomatic complexity; 0 without body
 * @param returned the field of its own that it only returns; empty where it does more
 * @param statements how many statements its body has
 * @param overrides whether it overrides or implements an inherited method
 * @param uses the members of the project's types that its body uses
 */
public record MethodFact(
    String name,
    String signature,
    boolean isConstructor,
    boolean isStatic,
    boolean isPrivate,
    boolean isAbstract,
    boolean overrides,
    int branches,
    int statements,
    String returned,
    boolean assigns,
    Set<MemberUse> uses,
    Range range) {

  public MethodFact {
    uses = Set.copyOf(uses);
  }

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

  /** Whether it only gives a field's value. */
  public boolean isGetter() {
    return !returned.isEmpty();
  }

  /** Whether it only sets a field. */
  public boolean isSetter() {
    return assigns;
  }

  public boolean isAccessor() {
    return isGetter() || isSetter();
  }

  /** The names of the fields of a type that it reads or writes. */
  public Set<String> fieldsOf(String type) {
    return uses.stream()
        .filter(use -> use.type().equals(type))
        .filter(use -> use.kind() == MemberUse.Kind.READ || use.kind() == MemberUse.Kind.WRITE)
        .map(MemberUse::member)
        .collect(Collectors.toSet());
  }

  /** The signatures of the methods of a type that it calls. */
  public Set<String> callsOf(String type) {
    return uses.stream()
        .filter(use -> use.type().equals(type) && use.kind() == MemberUse.Kind.CALL)
        .map(MemberUse::member)
        .collect(Collectors.toSet());
  }
}
