package paredown.facts;

import paredown.facts.MethodFact.MemberUse;

/**
 * An access is one use of a member, where it stands in a body.
 *
 * @param root what the member is reached through
 * @param offset where it stands in the file, counted in characters
 */
public record Access(MemberUse use, Root root, int line, int offset) {

  /**
   * A root is what a member is reached through.
   *
   * @param name of the variable; empty where it is none
   */
  public record Root(Kind kind, String name) {
    /** The object itself, named or not. */
    public static final Root SELF = new Root(Kind.SELF, "");

    /** The class, for static members and constructors. */
    public static final Root CLASS = new Root(Kind.CLASS, "");

    /** What some expression gives. */
    public static final Root EXPRESSION = new Root(Kind.EXPRESSION, "");

    /** The kinds of what a member can be reached through. */
    public enum Kind {
      SELF,
      CLASS,
      PARAMETER,
      LOCAL,
      FIELD,
      EXPRESSION
    }

    /** Whether it is a variable that stands for an object. */
    public boolean isVariable() {
      return !name.isEmpty();
    }
  }
}
