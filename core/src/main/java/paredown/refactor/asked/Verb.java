package paredown.refactor.asked;

/** The verb of a command, with what all operations under it have in common. */
public enum Verb {
  EXTRACT("Takes members out into a class, and code into a method, variable or field."),
  INLINE("Says what a name stands for, wherever the name is used, and takes it away."),
  MOVE("Takes members to the class, and classes to the package, that they belong to."),
  /** It has one operation only, which needs no second word. */
  RENAME("Gives a type, a member or a variable another name, wherever it is meant."),
  CHANGE("Gives a field or a method another type, with everything that holds its value."),
  ORDER("Puts the members of a type in the order in which they are read."),
  REMOVE("Takes away classes, members and parameters that nothing uses.");

  private final String says;

  Verb(String says) {
    this.says = says;
  }

  /** The word as it is typed. */
  public String word() {
    return name().toLowerCase();
  }

  /** One sentence of what its operations do. */
  public String says() {
    return says;
  }
}
