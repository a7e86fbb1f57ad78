package paredown.journal;

import java.util.List;
import paredown.Problem;

/** A journal problem is why files could not be written or put back; nothing was lost. */
public final class JournalProblem extends Problem {
  private static final long serialVersionUID = 1L;

  private final transient List<String> places;

  public JournalProblem(String sentence, String advice, List<String> places) {
    super(sentence, advice);
    this.places = List.copyOf(places);
  }

  /** The files it is about. */
  public List<String> places() {
    return places == null ? List.of() : places;
  }
}
