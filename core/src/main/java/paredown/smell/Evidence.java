package paredown.smell;

import java.util.List;
import java.util.Optional;
import paredown.facts.Range;

/**
 * Evidence is the figures and the named members that make a finding believable.
 *
 * @param figures in the order of their importance
 * @param says what the groups or the rows show, in a sentence that ends with a colon; empty where
 *     there are none
 * @param groups members that belong together, largest first
 * @param rows members, each with what it uses
 * @param foreign data of other classes that is used, {@code Type#field}
 */
public record Evidence(
    List<Figure> figures, String says, List<Group> groups, List<Row> rows, List<String> foreign) {

  public Evidence {
    figures = List.copyOf(figures);
    groups = List.copyOf(groups);
    rows = List.copyOf(rows);
    foreign = List.copyOf(foreign);
  }

  /** Evidence of figures and rows alone. */
  public static Evidence of(List<Figure> figures, String says, List<Row> rows) {
    return new Evidence(figures, says, List.of(), rows, List.of());
  }

  /**
   * A figure that can be recounted by hand from the code.
   *
   * @param name in JSON
   * @param limit what it is compared with; -1 where with nothing
   * @param words the sentence that says it
   * @param lessIsWorse whether a lower value is the worse one
   */
  public record Figure(String name, int value, int limit, String words, boolean lessIsWorse) {
    private static final int LEAST = 2;

    public Figure(String name, int value, int limit, String words) {
      this(name, value, limit, words, false);
    }

    /** Whether it is clearly worse than it was: by a fifth, and by two at least. */
    public boolean isWorseThan(int before) {
      int worse = lessIsWorse ? before - value : value - before;
      return worse >= LEAST && worse * 5 >= before;
    }
  }

  /**
   * Members that belong together.
   *
   * @param name proposed from its members' own words; empty where they share none
   * @param users who uses them: classes, or the files that change with them
   */
  public record Group(String name, List<String> fields, List<String> methods, List<String> users) {
    public Group {
      fields = List.copyOf(fields);
      methods = List.copyOf(methods);
      users = List.copyOf(users);
    }

    public int size() {
      return fields.size() + methods.size();
    }
  }

  /** A member, the line it is on, and which of the members in question it uses. */
  public record Row(String file, int line, String member, List<String> uses) {
    public Row {
      uses = List.copyOf(uses);
    }

    /** A method or field where it is declared. */
    public static Row at(Range range, String member, List<String> uses) {
      return new Row(range.file(), range.line(), member, uses);
    }
  }

  /** The figure of a name; empty where there is none. */
  public Optional<Figure> figure(String name) {
    return figures.stream().filter(figure -> figure.name().equals(name)).findFirst();
  }
}
