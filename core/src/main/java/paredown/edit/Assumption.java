package paredown.edit;

/**
 * An assumption is a condition that a change rests on, that no proof from the sources can give, and
 * that code as people write it nearly always keeps.
 *
 * @param sentence what is assumed here, without a full stop
 * @param place {@code path:line}; empty where there is none
 */
public record Assumption(Kind kind, String sentence, String place) {

  /** The same at another place. */
  public Assumption at(String other) {
    return new Assumption(kind, sentence, other);
  }

  /** What is assumed. */
  public enum Kind {
    /** Making text of other objects changes nothing that matters here. */
    TEXT,
    /** Nor do equals, hashCode and compareTo of other classes. */
    COMPARISON,
    /** Nor do collections and iterators. */
    COLLECTION,
    /** An object that no code leaves null is there. */
    NULL,
    /** Which class is initialised first shows nowhere. */
    START,
    /** Of two things that both fail, it shows nowhere which fails first. */
    FAILURE,
    /** Nothing that was stored depends on a version that the compiler works out. */
    VERSION,
    /** Nobody goes through the members of a class by reflection. */
    ENUMERATION,
    /** Nothing shows, stores or looks for the name of a class. */
    NAME,
    /** An annotation is only a remark. */
    REMARK,
    /** A method is not called again, on this thread or another, while it still runs. */
    AGAIN,
    /** All calls give an object the same value. */
    ALIKE,
    /** No number is beyond what its old type holds, or more exact than that. */
    RANGE,
    /** What is made of a value gives that value back. */
    BACK,
    /** Nothing sets a field that code calls and that nobody can look through. */
    STEADY,
    /** What an object with type arguments gives is of the type that these say. */
    CONTENT;

    /** The kind as it is written in JSON. */
    public String id() {
      return name().toLowerCase();
    }
  }
}
