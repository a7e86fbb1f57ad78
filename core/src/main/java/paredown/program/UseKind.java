package paredown.program;

/** The kind of a use: what about a place in the source has a meaning that must be kept. */
public enum UseKind {
  /** A name, and the symbol that it means. */
  NAME,
  /** The class whose instance an unqualified member is asked of. */
  RECEIVER,
  /** The class whose instance is around the object of an inner class that is made. */
  ENCLOSING,
  /** The constructor that an instance creation calls. */
  CREATION,
  /** The constructor that a class calls without saying so. */
  IMPLICIT_SUPER,
  /** The methods that a declared method overrides. */
  OVERRIDES,
  /** The value of a constant. */
  CONSTANT,
  /** The type of a variable that is declared without one. */
  INFERRED,
  /** The functional interface of a lambda. */
  LAMBDA,
  /** A reference in a Javadoc comment. */
  DOC
}
