package paredown.edit;

/**
 * A region is a stretch of new text that took the place of a range of old text, or that carries
 * one.
 *
 * @param start where it begins in the new text
 * @param end behind its last character; the start where it is empty
 * @param origin the file of the old range
 * @param from where the old range begins
 * @param to where the old range ends
 * @param kind whether the range was replaced, or carried to here
 * @param proof why what it drops, doubles, writes or turns round keeps its meaning; empty where
 *     nothing is said
 */
public record Region(int start, int end, String origin, int from, int to, Kind kind, String proof) {

  /** How a region came to be. */
  public enum Kind {
    REPLACED,
    CARRIED
  }

  /** Whether a stretch of new text begins within and ends without, or the other way round. */
  public boolean cuts(int first, int last) {
    return first < start && start < last && last < end
        || start < first && first < end && end < last;
  }

  public boolean holds(int first, int last) {
    return start <= first && last <= end;
  }
}
