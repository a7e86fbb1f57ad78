package paredown.session;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import paredown.UnusableRequest;
import paredown.journal.Lock;
import paredown.smell.Finding;

/**
 * The findings that a project lives with.
 *
 * @param root the project's
 */
record Living(Path root) {

  List<Accepted> all() {
    return new AcceptedFile(root).read();
  }

  /**
   * Lives with a finding until its figures get worse.
   *
   * @param because the reason; may be empty
   */
  void with(Finding finding, String because) {
    try (Lock lock = Lock.take(root)) {
      Map<String, Integer> figures = new TreeMap<>();
      finding.evidence().figures().forEach(figure -> figures.put(figure.name(), figure.value()));
      List<Accepted> all = new ArrayList<>(all());
      all.removeIf(each -> each.id().equals(finding.id()));
      String today = LocalDate.now().toString();
      all.add(new Accepted(finding.id(), finding.type(), because, today, figures));
      new AcceptedFile(root).write(all);
    }
  }

  /** Lets an accepted finding come back. */
  Accepted withdraw(String id) {
    try (Lock lock = Lock.take(root)) {
      List<Accepted> all = new ArrayList<>(all());
      List<Accepted> meant = all.stream().filter(each -> each.id().startsWith(id)).toList();
      if (meant.size() != 1) {
        throw new UnusableRequest(
            meant.isEmpty()
                ? "No finding " + id + " is accepted."
                : id + " could be any of " + meant.stream().map(Accepted::id).toList() + ".",
            "pare accept lists the accepted findings.");
      }
      all.removeAll(meant);
      new AcceptedFile(root).write(all);
      return meant.get(0);
    }
  }
}
