package paredown.edit;

import java.util.List;

/**
 * A carried piece is a range of existing source that is moved elsewhere: each of its uses is here
 * now, and no longer there.
 *
 * @param inside smaller edits within the range, in order
 * @param indent how the lines behind its first are indented anew
 * @param self what the instance that the range belongs to has become; null where it stays
 */
public record Carried(
    String file, int start, int end, List<Replacement> inside, Indent indent, Self self)
    implements Piece {

  public Carried {
    inside = List.copyOf(inside);
  }

  public static Carried range(String file, int start, int end) {
    return new Carried(file, start, end, List.of(), Indent.SAME, null);
  }

  @Override
  public Carried as(Self other) {
    return new Carried(file, start, end, inside, indent, other);
  }
}
