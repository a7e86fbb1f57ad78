package ferry.quay;

import java.util.List;

/** Tells people where the vessels are. */
public final class Lookout {
  private final QuayBook book;

  public Lookout(QuayBook book) {
    this.book = book;
  }

  public String tell(List<String> vessels) {
    StringBuilder text = new StringBuilder();
    for (String vessel : vessels) {
      text.append(vessel).append(' ').append(book.berthOf(vessel)).append('\n');
    }
    return text.append(book.moves()).append(" moves today").toString();
  }
}
