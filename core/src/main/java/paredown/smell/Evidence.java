package paredown.smell;

import java.util.List;

/**
 * Evidence is the figures and the named members that make a finding believable.
 *
 * @param figures in the order of their importance
 * @param groups members that belong together
 * @param rows members, each with what it uses
 * @param foreign data of other classes that is used, {@code Type#field}
 */
public record Evidence(
    List<Figure> figures, List<Group> groups, List<Row> rows, List<String> foreign) {

  public Evidence {
    figures = List.copyOf(figures);
    groups = List.copyOf(groups);
    rows = List.copyOf(rows);
    foreign = List.copyOf(foreign);
  }

  /**
   * A figure that can be recounted by hand from the code.
   *
   * @param name in JSON
   * @param limit what it is compared with; -1 where with nothing
   * @param words the sentence that says it
   */
  public record Figure(String name, int value, int limit, String words) {}

  /** Members that belong together. */
  public record Group(List<String> fields, List<String> methods) {
    public Group {
      fields = List.copyOf(fields);
      methods = List.copyOf(methods);
    }
  }

  /** A member, the line it is on, and which of the fields in question it uses. */
  public record Row(int line, String member, List<String> uses) {
    public Row {
      uses = List.copyOf(uses);
    }
  }
}
