package paredown.text;

import java.util.List;

/** Names as a person lists them: {@code a, b and c}. */
public final class Listed {
  private Listed() {}

  public static String of(List<String> names) {
    int last = names.size() - 1;
    return last < 1
        ? String.join("", names)
        : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
  }
}
