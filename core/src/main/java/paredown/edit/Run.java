package paredown.edit;

/**
 * A run is a stretch of new text that stands just as it did somewhere in the old.
 *
 * @param start where it begins in the new text
 * @param origin the old file it comes from
 * @param originStart where it began there
 * @param kind whether it stayed, was moved, or was repeated
 * @param self what the instance that it belongs to has become; null where it stays
 * @param piece tells the pieces of a file apart
 */
public record Run(
    int start, int length, String origin, int originStart, Kind kind, Self self, int piece) {

  /** How a run came to its place. */
  public enum Kind {
    KEPT,
    CARRIED,
    COPIED
  }

  public boolean covers(int offset) {
    return start <= offset && offset < start + length;
  }

  public boolean comesFrom(String file, int offset) {
    return origin.equals(file) && originStart <= offset && offset < originEnd();
  }

  /** Behind what it ended with in the old file. */
  public int originEnd() {
    return originStart + length;
  }

  public int originOf(int offset) {
    return originStart + offset - start;
  }

  public int imageOf(int originOffset) {
    return start + originOffset - originStart;
  }
}
