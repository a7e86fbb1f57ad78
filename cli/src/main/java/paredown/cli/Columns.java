package paredown.cli;

import java.util.ArrayList;
import java.util.List;

/** Text that is made to fit a column. */
final class Columns {
  private Columns() {}

  /** The text, filled up with blanks; longer text stays as it is. */
  static String pad(String text, int width) {
    return text.length() >= width ? text : text + " ".repeat(width - text.length());
  }

  /** The text in lines that have room; a word that has none stands alone. */
  static List<String> wrapped(String text, int width) {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (String word : text.strip().split(" +")) {
      if (line.length() > 0 && line.length() + 1 + word.length() > width) {
        lines.add(line.toString());
        line = new StringBuilder();
      }
      line.append(line.length() == 0 ? "" : " ").append(word);
    }
    lines.add(line.toString());
    return lines;
  }

  /** The text, its end replaced by an ellipsis where there is no room for it. */
  static String cut(String text, int width) {
    return text.length() <= width ? text : text.substring(0, Math.max(1, width - 1)) + "…";
  }
}
