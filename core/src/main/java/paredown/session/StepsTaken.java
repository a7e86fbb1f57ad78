package paredown.session;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import paredown.journal.Journal;
import paredown.journal.Lock;
import paredown.journal.Step;
import paredown.project.AtExit;
import paredown.project.Progress;
import paredown.project.Project;

/** The steps that were applied to a project, and what can be done with them. */
public final class StepsTaken {
  private final Project project;
  private final Journal journal;
  private final Progress progress;

  StepsTaken(Project project, Journal journal, Progress progress) {
    this.project = project;
    this.journal = journal;
    this.progress = progress;
  }

  /** The step that was cut off, which the next writing command puts back. */
  public Optional<Step> unverified() {
    return journal.open();
  }

  /** Those that are kept or open, oldest first. */
  public List<Step> all() {
    return journal.steps();
  }

  /** The steps that were kept, as a file of commands that can be done again elsewhere. */
  public String asFile() {
    return new StepsFile(journal).text();
  }

  /** What is in the journal's place and is not believed, since it was written elsewhere. */
  public List<String> strangers() {
    return journal.strangers();
  }

  /** Whether another program is changing this project just now. */
  public boolean isBusy() {
    return Lock.isHeld(project.root());
  }

  /**
   * Lets go of the last step that is open or kept, without touching its files; empty where there is
   * none.
   */
  public Optional<Step> forget() {
    try (Lock lock = Lock.take(project.root())) {
      return journal.open().or(journal::last).map(journal::forget);
    }
  }

  /** Puts back a step that was cut off; empty where there is none. */
  public Optional<PutBack> recover() {
    try (Lock lock = Lock.take(project.root())) {
      return recoverLocked();
    }
  }

  private Optional<PutBack> recoverLocked() {
    return journal.open().map(step -> new PutBack(step, journal.putBack(step)));
  }

  /**
   * Takes back the last kept steps, newest first; a step that was cut off is put back before.
   *
   * @return the steps that were taken back
   */
  public List<PutBack> undo(int count) {
    try (Lock lock = Lock.take(project.root())) {
      List<PutBack> undone = new ArrayList<>();
      recoverLocked().ifPresent(undone::add);
      while (undone.size() < count) {
        Optional<Step> last = journal.last();
        if (last.isEmpty()) {
          break;
        }
        takeBack(last.get());
        undone.add(new PutBack(last.get(), List.of()));
      }
      return undone;
    }
  }

  private void takeBack(Step step) {
    String interrupted =
        "Interrupted while step %d was taken back. pare undo goes on with it."
            .formatted(step.number());
    try (AtExit atExit = AtExit.run(() -> progress.said(interrupted))) {
      journal.undo(step);
    }
  }
}
