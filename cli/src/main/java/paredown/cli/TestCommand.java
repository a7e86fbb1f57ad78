package paredown.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import paredown.gate.TestResult;
import paredown.gate.TestRun;
import paredown.session.Session;
import picocli.CommandLine.Command;

/** Runs all tests once, the way the gate does. */
@Command(
    name = "test",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Runs all the project's tests once, the way they are run after a change.",
    footer = {"", "Example:", "  pare test", "", "This runs the project's own build."})
final class TestCommand extends PareCommand {

  @Override
  int run() throws InterruptedException {
    boolean json = json();
    Session session = open();
    TestRun run = session.test();
    if (json) {
      print(json(run));
    } else {
      StringBuilder text = new StringBuilder();
      for (TestResult failure : run.failures()) {
        text.append(terminal().red("FAILED"))
            .append(' ')
            .append(failure.name())
            .append(": ")
            .append(failure.message().lines().findFirst().orElse(""))
            .append('\n');
      }
      text.append(
          "%d passed, %d failed, %d skipped%n"
              .formatted(
                  run.count(TestResult.Status.PASSED),
                  run.count(TestResult.Status.FAILED),
                  run.count(TestResult.Status.SKIPPED)));
      print(text + "Next: pare survey" + here() + "\n");
    }
    return run.failures().isEmpty() ? Exit.DONE : Exit.PUT_BACK;
  }

  private static ObjectNode json(TestRun run) {
    ObjectNode answer = Json.answer("pare-tests/1");
    answer
        .put("passed", run.count(TestResult.Status.PASSED))
        .put("failed", run.count(TestResult.Status.FAILED))
        .put("skipped", run.count(TestResult.Status.SKIPPED));
    ArrayNode failures = answer.putArray("failures");
    for (TestResult failure : run.failures()) {
      failures
          .addObject()
          .put("test", failure.name())
          .put("message", failure.message())
          .put("place", failure.place());
    }
    return answer;
  }
}
