package paredown.remedy;

import java.util.ArrayList;
import java.util.List;
import paredown.edit.Change;
import paredown.text.Counted;

/** A price is what a change costs those who read and call the code, in words. */
final class Price {
  private Price() {}

  /**
   * The price of a change.
   *
   * @param meant how many files that are there already are meant to change
   */
  static List<String> of(Change change, int meant) {
    List<String> price = new ArrayList<>();
    Change.Report report = change.report();
    int others = (int) change.files().stream().filter(file -> !file.isNew()).count() - meant;
    add(price, report.delegates().size(), "delegate", "delegates");
    add(price, report.wider().size(), "member more visible", "members more visible");
    add(price, report.api().size(), "change of the API", "changes of the API");
    add(price, Math.max(0, others), "other file changes", "other files change");
    return price;
  }

  private static void add(List<String> price, int number, String one, String several) {
    if (number > 0) {
      price.add(Counted.of(number, one, several));
    }
  }
}
