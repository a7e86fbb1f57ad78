package paredown.session;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import paredown.UnusableRequest;
import paredown.history.GitHistory;
import paredown.history.History;
import paredown.project.Project;
import paredown.project.Workspace;

/** The history of a project, read from version control once for each latest commit. */
final class ProjectHistory {
  private ProjectHistory() {}

  /**
   * The last so many commits; none where there is no repository, or none are asked for.
   *
   * @param read counts those that were read
   */
  static History of(Project project, int most, AtomicInteger read) {
    if (most == 0) {
      return History.NONE;
    }
    Optional<GitHistory> repository = GitHistory.at(project.root());
    if (repository.isEmpty()) {
      return History.NONE;
    }
    try (GitHistory git = repository.get()) {
      Workspace workspace = new Workspace(project.root());
      String name = "history-" + git.head() + "-" + most;
      return workspace
          .cached(name)
          .map(bytes -> new String(bytes, StandardCharsets.UTF_8))
          .flatMap(History::read)
          .orElseGet(
              () -> {
                History history = git.read(most, read);
                workspace.cache(name, history.written().getBytes(StandardCharsets.UTF_8));
                return history;
              });
    }
  }

  /** Whether version control tracks something in the folder that is this machine's own. */
  static boolean tracksWorkspace(Project project) {
    Path own = new Workspace(project.root()).folder();
    if (!Files.exists(own, LinkOption.NOFOLLOW_LINKS)) {
      return false;
    }
    try (GitHistory git = GitHistory.at(project.root()).orElse(null)) {
      return git != null && git.tracks(own.getFileName().toString());
    }
  }

  /**
   * The files that differ from a revision.
   *
   * @throws UnusableRequest where there is no repository or no such revision
   */
  static Set<String> changedSince(Project project, String revision) {
    try (GitHistory git =
        GitHistory.at(project.root())
            .orElseThrow(
                () ->
                    new UnusableRequest(
                        "This project is in no Git repository, or it has no commit yet.",
                        "Leave --changed out."))) {
      return git.changedSince(revision)
          .orElseThrow(
              () ->
                  new UnusableRequest(
                      "There is no revision " + revision + " in this repository.",
                      "git log --oneline lists them; a shallow clone may have to be deepened."));
    }
  }
}
