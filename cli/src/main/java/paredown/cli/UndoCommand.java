package paredown.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import paredown.UnusableRequest;
import paredown.cli.show.Json;
import paredown.journal.Step;
import paredown.journal.StepState;
import paredown.session.PutBack;
import paredown.session.Session;
import paredown.text.Counted;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
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

  @Option(
      names = "--forget",
      description =
          "Let go of the last step instead, and leave all files as they are: for a step whose "
              + "originals are damaged, or whose files were edited since.")
  private boolean forget;

  @Override
  int run() {
    boolean json = json();
    if (forget) {
      return forget(json);
    }
    if (count < 1) {
      throw new UnusableRequest("Take back how many steps?", "Give a number above 0.");
    }
    Session session = openSteps();
    boolean none =
        session.taken().unverified().isEmpty()
            && session.taken().all().stream().noneMatch(step -> step.state() == StepState.VERIFIED);
    if (none) {
      throw new UnusableRequest("There is no step to take back.", "pare steps lists them.");
    }
    List<PutBack> undone = session.taken().undo(count);
    if (json) {
      print(json(undone));
    } else {
      print(text(undone) + "Next: pare survey" + here() + "\n");
    }
    return Exit.DONE;
  }

  private int forget(boolean json) {
    Step step =
        openSteps()
            .taken()
            .forget()
            .orElseThrow(
                () ->
                    new UnusableRequest(
                        "There is no step to let go of.", "pare steps lists them."));
    if (json) {
      ObjectNode answer = json(List.of());
      Json.texts(answer, "forgotten", List.of(String.valueOf(step.number())));
      print(answer);
    } else {
      print(
          "Step %d is let go of; its files stay as they are.%nNext: pare survey%s%n"
              .formatted(step.number(), here()));
    }
    return Exit.DONE;
  }

  private static ObjectNode json(List<PutBack> undone) {
    ObjectNode answer = Json.answer("pare-undo/1");
    Json.texts(
        answer,
        "undone",
        undone.stream().map(back -> String.valueOf(back.step().number())).toList());
    Json.texts(
        answer, "leftAlone", undone.stream().flatMap(back -> back.edited().stream()).toList());
    return answer;
  }

  private static String text(List<PutBack> undone) {
    StringBuilder text = new StringBuilder();
    for (PutBack back : undone) {
      text.append("Step ").append(back.step().number()).append(" taken back");
      if (back.edited().isEmpty()) {
        int files = back.step().files().size();
        text.append(": %s as before.%n".formatted(Counted.of(files, "file is", "files are")));
      } else {
        text.append(", but what was edited since:\n");
        back.edited().forEach(file -> text.append("  ").append(file).append('\n'));
      }
    }
    return text.toString();
  }
}
