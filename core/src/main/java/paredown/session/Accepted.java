package paredown.session;

import java.util.Map;
import paredown.smell.Evidence;
import paredown.smell.Finding;

/**
 * An accepted finding is one that the project lives with, as long as it gets no worse.
 *
 * @param id the finding's
 * @param type canonical name of its class
 * @param because the reason that was given; empty where none was
 * @param since the day on which it was accepted
 * @param figures the values that its figures had then, by their names
 */
public record Accepted(
    String id, String type, String because, String since, Map<String, Integer> figures) {

  public Accepted {
    figures = Map.copyOf(figures);
  }

  /** Whether a finding is this one, and none of its figures is clearly worse than it was. */
  public boolean covers(Finding finding) {
    return finding.id().equals(id)
        && finding.evidence().figures().stream().noneMatch(this::isWorse);
  }

  private boolean isWorse(Evidence.Figure figure) {
    Integer before = figures.get(figure.name());
    return before != null && figure.isWorseThan(before);
  }
}
