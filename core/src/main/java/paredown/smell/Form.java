package paredown.smell;

/** A form is how a smell shows. */
public enum Form {
  /** A class as a whole. */
  WHOLE("class"),
  /** Fields of one class. */
  FIELDS("fields"),
  /** Parameters of several methods. */
  PARAMETERS("parameters"),
  /** The same fields in several classes. */
  TWINS("twin-fields"),
  /** A constructor. */
  CONSTRUCTOR("constructor"),
  /** A method as a whole. */
  METHOD("method"),
  /** A part of a method. */
  PART("part"),
  /** Statements that stand in several places. */
  REPEATED("repeated"),
  /** A condition that stands in several methods. */
  QUESTION("question"),
  /** A class that only passes calls on. */
  GO_BETWEEN("go-between"),
  /** A class that adds nothing to the one above it. */
  EMPTY("empty"),
  /** A class that nobody uses. */
  UNUSED("unused"),
  /** A class with one small method for one client. */
  SINGLE("single");

  private final String id;

  Form(String id) {
    this.id = id;
  }

  /** The name in JSON: {@code twin-fields}. */
  public String id() {
    return id;
  }
}
