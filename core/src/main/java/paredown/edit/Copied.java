package paredown.edit;

import java.util.List;

/**
 * A copied piece repeats a range of existing source: its uses are here as well as where they were.
 *
 * @param inside smaller edits within the range, in order
 * @param indent how the lines behind its first are indented anew
 * @param self what the instance that the range belongs to is here; null where it is the same
 */
public record Copied(
    String file, int start, int end, List<Replacement> inside, Indent indent, Self self)
    implements Piece {

  public Copied {
    inside = List.copyOf(inside);
  }

  /** A repeated range in the class that it belongs to, as it is indented there. */
  public Copied(String file, int start, int end, List<Replacement> inside) {
    this(file, start, end, inside, Indent.SAME, null);
  }

  /** A repeated range as it is indented. */
  public Copied(String file, int start, int end, List<Replacement> inside, Self self) {
    this(file, start, end, inside, Indent.SAME, self);
  }

  @Override
  public Copied as(Self other) {
    return new Copied(file, start, end, inside, indent, other);
  }
}
