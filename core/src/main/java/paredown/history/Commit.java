package paredown.history;

import java.util.List;

/**
 * A commit is one change that was recorded in version control.
 *
 * @param id its short name
 * @param subject the first line of its message
 * @param touched what it changed, by the names that the files have today
 */
public record Commit(String id, String subject, List<Touched> touched) {
  public Commit {
    touched = List.copyOf(touched);
  }

  /**
   * A file that a commit changed.
   *
   * @param file its path in the project
   * @param members the members whose lines changed, {@code Type#name}, types by their names without
   *     the package; empty where the file is no Java
   */
  public record Touched(String file, List<String> members) {
    public Touched {
      members = List.copyOf(members);
    }
  }
}
