package paredown.facts;

/**
 * A range is where something stands in a file.
 *
 * @param file the project's path of the file
 * @param start the line and column where it begins, counted from 1
 * @param end the line and column behind its last character
 */
public record Range(String file, Position start, Position end) {

  /** A position is a line and a column, both counted from 1. */
  public record Position(int line, int column) {}

  public int line() {
    return start.line();
  }

  /** How many lines it touches. */
  public int lines() {
    return end.line() - start.line() + 1;
  }
}
