package paredown.facts;

/**
 * A local use is where a body declares, reads or writes one of its own variables.
 *
 * @param variable numbers the body's variables, parameters included
 */
public record LocalUse(int variable, String name, Kind kind, int offset) {
  /** What is done with the variable. */
  public enum Kind {
    DECLARE,
    READ,
    WRITE
  }

  public boolean isRead() {
    return kind == Kind.READ;
  }
}
