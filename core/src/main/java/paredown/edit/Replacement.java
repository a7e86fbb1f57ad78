package paredown.edit;

import java.util.List;
import paredown.program.Use;

/**
 * A replacement puts pieces where a range of old text was.
 *
 * @param dropped the uses within the range that are gone, each with its reason
 * @param proof why what it drops, doubles, writes or turns round besides names keeps its meaning;
 *     empty where it does nothing of that
 */
public record Replacement(
    int start, int end, List<Piece> pieces, List<Dropped> dropped, String proof) {

  /** The proof of an expression that is what it was, and has another type. */
  public static final String OTHER_TYPE = "it holds the same value in another type";

  /** A replacement that needs no proof: it only says names in another way. */
  public Replacement(int start, int end, List<Piece> pieces, List<Dropped> dropped) {
    this(start, end, pieces, dropped, "");
  }

  public Replacement {
    pieces = List.copyOf(pieces);
    dropped = List.copyOf(dropped);
    if (start > end) {
      throw new IllegalArgumentException("a range ends before it starts: " + start + ", " + end);
    }
  }

  /** A use that is gone, and why: the declaration it sat in is gone, for example. */
  public record Dropped(Use.Place use, String reason) {}

  /** The same with a proof. */
  public Replacement proving(String why) {
    return new Replacement(start, end, pieces, dropped, why);
  }

  public static Replacement of(int start, int end, Piece... pieces) {
    return new Replacement(start, end, List.of(pieces), List.of());
  }

  /** Takes a range away. What was in it is carried elsewhere, or must be declared as dropped. */
  public static Replacement removal(int start, int end) {
    return new Replacement(start, end, List.of(), List.of());
  }

  /** Whether it replaces nothing outside a range. */
  public boolean isWithin(int from, int to) {
    return from <= start && end <= to;
  }
}
