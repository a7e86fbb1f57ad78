package paredown.session;

import java.util.List;
import paredown.journal.Step;

/**
 * A step that is back.
 *
 * @param edited files that somebody edited since, which stay as they are; empty where all is as
 *     before
 */
public record PutBack(Step step, List<String> edited) {

  public PutBack {
    edited = List.copyOf(edited);
  }

  /** What happened to the files. */
  String sentence() {
    return edited.isEmpty()
        ? "Everything was put back."
        : "All was put back but " + String.join(", ", edited) + ".";
  }
}
