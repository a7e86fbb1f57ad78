package paredown.history;

import java.util.List;

/**
 * A history is what the latest commits of a project changed, newest first.
 *
 * @param isCut whether older commits are missing, since the repository is a shallow clone
 */
public record History(List<Commit> commits, boolean isCut) {
  /** The history where there is no repository. */
  public static final History NONE = new History(List.of(), false);

  public History {
    commits = List.copyOf(commits);
  }
}
