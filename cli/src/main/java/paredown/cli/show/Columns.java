package paredown.cli.show;

/** Text that is made to fit a column. */
public final class Columns {
  private Columns() {}

  /** The text, filled up with blanks; longer text stays as it is. */
  public static String pad(String text, int width) {
    return text.length() >= width ? text : text + " ".repeat(width - text.length());
  }

  /** The text, its end replaced by an ellipsis where there is no room for it. */
  public static String cut(String text, int width) {
    return text.length() <= width ? text : text.substring(0, Math.max(1, width - 1)) + "…";
  }
}
