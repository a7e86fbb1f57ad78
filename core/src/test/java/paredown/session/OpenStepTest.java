package paredown.session;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.FutureTask;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import paredown.journal.Journal;
import paredown.journal.Step;
import paredown.journal.StepState;

class OpenStepTest {
  private static final Step INTENDED = step(StepState.INTENDED);
  private static final Step WRITTEN = step(StepState.WRITTEN);
  private static final Step KEPT = step(StepState.VERIFIED);

  private final Journal journal = mock(Journal.class);
  private final OpenStep open = new OpenStep(journal);

  private static Step step(StepState state) {
    return new Step(1, "3f9a07", "pare", "A change.", Instant.EPOCH, state, List.of(), List.of());
  }

  @BeforeEach
  void write() {
    when(journal.intend(any(), any())).thenReturn(INTENDED);
    when(journal.bring(INTENDED)).thenReturn(WRITTEN);
    when(journal.verify(WRITTEN)).thenReturn(KEPT);
  }

  /** Starts a thread and waits until it has ended or stands before a lock. */
  private static <T> FutureTask<T> meanwhile(FutureTask<T> task) throws InterruptedException {
    Thread thread = new Thread(task);
    thread.start();
    while (thread.isAlive() && thread.getState() != Thread.State.BLOCKED) {
      Thread.sleep(1);
    }
    return task;
  }

  @Test
  void theEndOfTheProgramWaitsForAPutBackThatHasBegun() throws Exception {
    FutureTask<Optional<PutBack>> end = new FutureTask<>(open::end);
    when(journal.putBack(WRITTEN))
        .then(
            call -> {
              meanwhile(end);
              assertFalse(end.isDone());
              return List.of("src/Sailing.java");
            });
    open.write(null, "pare");
    assertEquals(List.of("src/Sailing.java"), open.putBack().edited());
    assertEquals("All was put back but src/Sailing.java.", end.get().orElseThrow().sentence());
    verify(journal, times(1)).putBack(WRITTEN);
  }

  @Test
  void theEndOfTheProgramWaitsForAStepThatIsBeingKept() throws Exception {
    FutureTask<Optional<PutBack>> end = new FutureTask<>(open::end);
    when(journal.verify(WRITTEN))
        .then(
            call -> {
              meanwhile(end);
              return KEPT;
            });
    open.write(null, "pare");
    assertEquals(StepState.VERIFIED, open.keep().state());
    assertTrue(end.get().isEmpty());
    verify(journal, never()).putBack(any());
  }

  @Test
  void theEndOfTheProgramPutsBackWhatWasBeingWritten() throws Exception {
    FutureTask<Optional<PutBack>> end = new FutureTask<>(open::end);
    when(journal.bring(INTENDED))
        .then(
            call -> {
              meanwhile(end);
              return WRITTEN;
            });
    open.write(null, "pare");
    assertTrue(end.get().isPresent());
    assertThrows(InterruptedException.class, open::keep);
  }

  @Test
  void nothingIsKeptOrPutBackTwiceAfterTheEndOfTheProgram() {
    open.write(null, "pare");
    assertTrue(open.end().isPresent());
    assertThrows(InterruptedException.class, open::keep);
    assertThrows(InterruptedException.class, open::putBack);
    assertTrue(open.end().isPresent());
    verify(journal, times(1)).putBack(WRITTEN);
    verify(journal, never()).verify(any());
  }
}
