package paredown.edit;

/**
 * How lines are indented anew: those that begin with one white space begin with another.
 *
 * @param level what one more level adds in the old place, and what it adds in the new
 * @param lineEnd what lines end with in the new place; empty where they end as they did
 */
public record Indent(String from, String to, Level level, String lineEnd) {
  /** Leaves every line as it is. */
  public static final Indent SAME = new Indent("", "");

  /** What one level of indentation adds, before and after. */
  public record Level(String from, String to) {
    boolean changes() {
      return !from.isEmpty() && !from.equals(to);
    }
  }

  public Indent(String from, String to) {
    this(from, to, new Level("", ""), "");
  }

  boolean changesNothing() {
    return from.equals(to) && !level.changes();
  }
}
