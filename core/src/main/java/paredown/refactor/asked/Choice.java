package paredown.refactor.asked;

import java.util.List;

/**
 * An option of an operation.
 *
 * @param name with its two hyphens
 * @param kind what it takes
 * @param label what stands for its value in the help; empty for one that takes none
 * @param words the values that it can have; empty where any is allowed
 * @param says a sentence or two of help
 */
public record Choice(String name, Kind kind, String label, List<String> words, String says) {

  /** What an option takes. */
  public enum Kind {
    /** Nothing: it is said or not. */
    FLAG,
    VALUE,
    /** A value that must be given. */
    REQUIRED,
    /** Values with commas between, which brackets hold together. */
    LIST,
    /** The same, at least one. */
    REQUIRED_LIST
  }

  public Choice {
    words = List.copyOf(words);
  }

  public boolean isFlag() {
    return kind == Kind.FLAG;
  }

  public boolean isRequired() {
    return kind == Kind.REQUIRED || kind == Kind.REQUIRED_LIST;
  }

  public boolean isList() {
    return kind == Kind.LIST || kind == Kind.REQUIRED_LIST;
  }
}
