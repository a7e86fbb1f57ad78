package paredown.program;

/**
 * A use is a place in the source where something is meant, and what it is bound to.
 *
 * @param key names the symbol so that it can be compared between two runs of the compiler
 * @param type the static type of the expression; empty where it has none
 */
public record Use(Place place, String key, String type) {

  /** Where a use stands, and of which kind it is: no two uses share this. */
  public record Place(String file, int offset, UseKind kind) {}

  public String file() {
    return place.file();
  }

  public int offset() {
    return place.offset();
  }

  public UseKind kind() {
    return place.kind();
  }

  /** Whether a name stands there that means the symbol. */
  public boolean isName() {
    return place.kind() == UseKind.NAME;
  }

  /** Whether it is the object that a member is asked of, where none is written. */
  public boolean isReceiver() {
    return place.kind() == UseKind.RECEIVER;
  }

  /** Whether it is a variable of a value that the compiler knows. */
  public boolean isConstant() {
    return place.kind() == UseKind.CONSTANT;
  }

  /** Whether it stands in a Javadoc comment. */
  public boolean isDoc() {
    return place.kind() == UseKind.DOC;
  }
}
