package paredown.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import paredown.UnusableRequest;
import paredown.journal.Step;
import paredown.journal.StepState;
import paredown.session.Session;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Takes steps back. */
@Command(
    name = "undo",
    mixinStandardHelpOptions = true,
    versionProvider = Pare.Version.class,
    description = {
      "Takes back the last step, or the last N: every file is as it was before, to the byte.",
      "Refuses where a file was edited since."
    },
    footer = {"", "Example:", "  pare undo", "  pare undo 3"})
final class UndoCommand extends PareCommand {
  @Parameters(paramLabel = "N", arity = "0..1", defaultValue = "1", description = "How many steps.")
  private int count;

  @Override
  int run() {
    boolean json = json();
    if (count < 1) {
      throw new UnusableRequest("Take back how many steps?", "Give a number above 0.");
    }
    Session session = open();
    boolean none =
        session.unverified().isEmpty()
            && session.steps().stream().noneMatch(step -> step.state() == StepState.VERIFIED);
    if (none) {
      throw new UnusableRequest("There is no step to take back.", "pare steps lists them.");
    }
    List<Step> undone = session.undo(count);
    if (json) {
      ObjectNode answer = Json.answer("pare-undo/1");
      Json.texts(
          answer, "undone", undone.stream().map(step -> String.valueOf(step.number())).toList());
      print(answer);
      return Exit.DONE;
    }
    StringBuilder text = new StringBuilder();
    for (Step step : undone) {
      text.append(
          "Step %d taken back: %s as before.%n"
              .formatted(
                  step.number(), SurveyText.count(step.files().size(), "file is", "files are")));
    }
    print(text + "Next: pare survey" + here() + "\n");
    return Exit.DONE;
  }
}
