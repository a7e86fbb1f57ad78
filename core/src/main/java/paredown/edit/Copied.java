package paredown.edit;

import java.util.List;

/**
 * A copied piece repeats a range of existing source: its uses are here as well as where they were.
 *
 * @param inside smaller edits within the range, in order
 */
public record Copied(String file, int start, int end, List<Replacement> inside) implements Piece {

  public Copied {
    inside = List.copyOf(inside);
  }
}
