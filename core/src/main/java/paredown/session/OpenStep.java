package paredown.session;

import java.util.Optional;
import paredown.MachineProblem;
import paredown.edit.Change;
import paredown.journal.Journal;
import paredown.journal.Step;

/**
 * The one step that is on the disk and waits for its verdict. The applying thread and the one that
 * runs when the program is told to end both want to settle it; whoever comes first does, the other
 * waits until that is done and finds nothing left to settle.
 */
final class OpenStep {
  private final Journal journal;
  private Step step;
  private Optional<PutBack> back = Optional.empty();

  OpenStep(Journal journal) {
    this.journal = journal;
  }

  /** Writes a change; the step is open from here on. */
  synchronized void write(Change change, String command) {
    step = journal.intend(change, command);
    try {
      step = journal.bring(step);
    } catch (MachineProblem putBackAlready) {
      step = null;
      throw putBackAlready;
    }
  }

  /**
   * Keeps the step.
   *
   * @throws InterruptedException where the program was told to end, and the step is back
   */
  synchronized Step keep() throws InterruptedException {
    Step kept = journal.verify(open());
    step = null;
    return kept;
  }

  /**
   * Puts the step back.
   *
   * @throws InterruptedException where the program was told to end, and the step is back
   */
  synchronized PutBack putBack() throws InterruptedException {
    takeBack(open());
    return back.orElseThrow();
  }

  /**
   * Puts the step back where it is still open.
   *
   * @return what was put back, now or before; empty where nothing was written or the step was kept
   */
  synchronized Optional<PutBack> end() {
    if (step != null) {
      takeBack(step);
    }
    return back;
  }

  private void takeBack(Step undone) {
    step = null;
    back = Optional.of(new PutBack(undone, journal.putBack(undone)));
  }

  /** The step that is still to be settled. */
  private Step open() throws InterruptedException {
    if (step == null) {
      throw new InterruptedException("the program is ending, and has settled the step");
    }
    return step;
  }
}
