package paredown.text;

import java.util.ArrayList;
import java.util.List;

/** Text in lines that have room for it. */
public final class Wrapped {
  private Wrapped() {}

  /** At least one line; a word that has no room stands alone. */
  public static List<String> lines(String text, int width) {
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
}
