package paredown.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import paredown.cli.show.Json;
import paredown.gate.TestResult;
import paredown.gate.TestRun;
import paredown.gate.reach.Reach;
import paredown.gate.reach.Recording;
import paredown.session.Session;
import paredown.text.Counted;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Runs all tests once, the way the gate does. */
@Command(
    name = "test",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Runs all the project's tests once, the way they are run after a change.",
    footer = {
      "",
      "Example:",
      "  pare test",
      "  pare test --reach",
      "",
      "This runs the project's own build."
    })
final class TestCommand extends PareCommand {
  /** So many methods that no test reaches are named. */
  private static final int NAMED = 12;

  @Option(
      names = "--reach",
      description =
          "Note which code each class of tests reaches, so that previews can say which tests reach a"
              + " change. Each class runs in a process of its own, which takes longer.")
  private boolean reach;

  @Override
  int run() throws InterruptedException {
    boolean json = json();
    Session session = open();
    Optional<Reach> recorded = Optional.empty();
    TestRun run;
    if (reach) {
      Recording recording = session.net().recordReach();
      run = recording.run();
      recorded = Optional.of(recording.reach());
    } else {
      run = session.net().test();
    }
    if (json) {
      ObjectNode answer = json(run);
      recorded.ifPresent(each -> json(answer.putObject("reach"), each));
      print(answer);
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
      recorded.ifPresent(each -> text.append(told(each)));
      print(text + "Next: pare survey" + here() + "\n");
    }
    return run.failures().isEmpty() ? Exit.DONE : Exit.PUT_BACK;
  }

  private static String told(Reach reach) {
    List<Reach.Reached> all = reach.methods();
    List<String> unreached = unreached(reach);
    String named = String.join(", ", unreached.subList(0, Math.min(NAMED, unreached.size())));
    int more = unreached.size() - NAMED;
    return "The tests reach %,d of the %s in the classes that they load.%n"
            .formatted(all.size() - unreached.size(), Counted.of(all.size(), "method", "methods"))
        + (unreached.isEmpty()
            ? ""
            : "None reaches %s%s.%n"
                .formatted(named, more > 0 ? " and %,d more".formatted(more) : ""))
        + "Previews say now which tests reach a change.\n";
  }

  private static List<String> unreached(Reach reach) {
    return reach.methods().stream()
        .filter(method -> method.tests().isEmpty())
        .map(Reach.Reached::name)
        .toList();
  }

  private static void json(ObjectNode node, Reach reach) {
    node.put("methods", reach.methods().size());
    Json.texts(node, "unreached", unreached(reach));
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
