package paredown.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import paredown.bench.differential.Differential;
import paredown.bench.differential.SmallProgram;
import paredown.bench.differential.Trial;

/** Programs say the same before and after a change, or the preview has said on what that rests. */
class DifferentialTest {

  private static List<SmallProgram> tricky() throws IOException {
    try (InputStream stream = DifferentialTest.class.getResourceAsStream("tricky-programs.txt")) {
      return SmallProgram.read(
          new String(stream.readAllBytes(), StandardCharsets.UTF_8).lines().toList());
    }
  }

  @TestFactory
  List<DynamicTest> noTrickyProgramIsChangedSilently() throws IOException {
    List<DynamicTest> tests = new ArrayList<>();
    for (SmallProgram program : tricky()) {
      tests.add(
          DynamicTest.dynamicTest(
              program.name(),
              () -> {
                Trial trial = Trial.of(program);
                assertFalse(trial.isFailure(), trial.toString());
                assertFalse(trial.outcome() == Trial.Outcome.USELESS, trial.toString());
              }));
    }
    assertTrue(tests.size() > 40, tests.size() + " programs");
    return tests;
  }

  @Test
  void noRandomProgramIsChangedSilentlyAndManyAreChanged() {
    for (String operation : List.of("move-method", "extract-class")) {
      int same = 0;
      for (long seed = 1; seed <= 25; seed++) {
        Trial trial = Trial.of(Differential.program(operation, seed));
        assertFalse(trial.isFailure(), operation + " " + seed + ": " + trial);
        same += trial.outcome() == Trial.Outcome.SAME ? 1 : 0;
      }
      assertTrue(same >= 8, operation + ": " + same + " were changed");
    }
  }

  @Test
  void aProgramThatSaysSomethingElseIsNoticedAndMustHaveBeenSaid() throws IOException {
    SmallProgram program =
        tricky().stream().filter(each -> each.name().equals("H6a")).findFirst().orElseThrow();
    Trial trial = Trial.of(program);
    assertNotEquals(trial.before(), trial.after());
    assertEquals(Trial.Outcome.SAID, trial.outcome());
    assertTrue(trial.detail().contains("toString"), trial.detail());
  }
}
