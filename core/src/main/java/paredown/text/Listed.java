package paredown.text;

import java.util.List;

/** Names as a person lists them: {@code a, b and c}. */
public final class Listed {
  /** So many names fit a row beside what is said of them. */
  public static final int SHOWN = 4;

  private Listed() {}

  /** So many names at most, and how many more there are: {@code a, b, c and 5 more}. */
  public static String few(List<String> names, int most) {
    return names.size() <= most
        ? of(names)
        : "%s and %d more"
            .formatted(String.join(", ", names.subList(0, most - 1)), names.size() - most + 1);
  }

  public static String of(List<String> names) {
    int last = names.size() - 1;
    return last < 1
        ? String.join("", names)
        : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
  }
}
