package paredown.edit;

/** How lines are indented anew: those that begin with one white space begin with another. */
public record Indent(String from, String to) {
  /** Leaves every line as it is. */
  public static final Indent SAME = new Indent("", "");

  boolean changesNothing() {
    return from.equals(to);
  }
}
