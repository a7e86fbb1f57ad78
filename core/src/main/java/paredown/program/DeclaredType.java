package paredown.program;

import java.util.Set;

/**
 * A declared type is a class, interface, enum, record or annotation interface as its header tells.
 *
 * @param name its canonical name, {@code ferry.desk.Sailing.Leg}
 * @param keyword what kind of type it is, in the word of the language
 * @param offset where its name stands
 * @param depth 0 for a top-level type
 * @param header the words between its name and its body: its supertypes' names are among them
 */
public record DeclaredType(
    String name, String keyword, String file, int offset, int depth, Set<String> header) {

  public DeclaredType {
    header = Set.copyOf(header);
  }

  public String simpleName() {
    return name.substring(name.lastIndexOf('.') + 1);
  }
}
