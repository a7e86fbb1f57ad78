package ferry.quay;

import java.util.List;

/** What the quay has earned, and who still owes. */
public final class YearReport {
  private final QuayBook book;

  public YearReport(QuayBook book) {
    this.book = book;
  }

  public String text(List<String> vessels) {
    StringBuilder text = new StringBuilder("Received " + euros(book.received(), "all"));
    for (String vessel : vessels) {
      if (book.owed(vessel) > 0) {
        text.append("\n").append(vessel).append(" owes ").append(euros(book.owed(vessel), vessel));
      }
    }
    return text.toString();
  }

  private static int euros(int cents, String payer) {
    return cents / 100;
  }
}
