package paredown.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import paredown.cli.show.Columns;
import paredown.cli.show.Json;
import paredown.journal.Step;
import paredown.journal.StepState;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Lists what was applied. */
@Command(
    name = "steps",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = "Lists the steps that were applied, oldest first.",
    footer = {"", "Examples:", "  pare steps", "  pare steps --as-file > passage.steps"})
final class StepsCommand extends PareCommand {
  @Option(
      names = "--as-file",
      description =
          "Print the steps that were kept as a file of commands, which pare carry does again"
              + " elsewhere: code is named by what it says, not by its lines.")
  private boolean asFile;

  @Override
  int run() {
    boolean json = json();
    Session session = openSteps();
    if (asFile) {
      print(session.taken().asFile());
      return Exit.DONE;
    }
    List<Step> steps = session.taken().all();
    print(json ? Json.text(json(steps)) : text(steps));
    return Exit.DONE;
  }

  private String text(List<Step> steps) {
    if (steps.isEmpty()) {
      return "No step was applied here yet.\nNext: pare survey" + here() + "\n";
    }
    StringBuilder text = new StringBuilder();
    for (Step step : steps) {
      String head = "%3d  %-7s  %s  ".formatted(step.number(), state(step), when(step));
      int room = Math.max(40, terminal().width() - head.length());
      text.append(head).append(Columns.cut(step.summary(), room)).append('\n');
      text.append("     ").append(step.command()).append('\n');
    }
    boolean kept =
        steps.stream()
            .anyMatch(step -> step.state() == StepState.VERIFIED || step.state().isOpen());
    String next = kept ? "pare undo" : "pare survey";
    return text.append("Next: ").append(next).append(here()).append('\n').toString();
  }

  private static String when(Step step) {
    return DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm")
        .format(step.when().atZone(ZoneId.systemDefault()));
  }

  static String state(Step step) {
    return switch (step.state()) {
      case VERIFIED -> "kept";
      case UNDONE -> "undone";
      case FORGOTTEN -> "let go";
      default -> "cut off";
    };
  }

  private static ObjectNode json(List<Step> steps) {
    ObjectNode answer = Json.answer("pare-steps/1");
    ArrayNode array = answer.putArray("steps");
    for (Step step : steps) {
      ObjectNode node =
          array
              .addObject()
              .put("number", step.number())
              .put("state", state(step))
              .put("change", step.change())
              .put("command", step.command())
              .put("summary", step.summary())
              .put("when", step.when().toString());
      Json.texts(node, "files", step.files().stream().map(Step.Entry::path).toList());
    }
    return answer;
  }
}
