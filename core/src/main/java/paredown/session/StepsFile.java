package paredown.session;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.stream.Collectors;
import paredown.UnusableRequest;
import paredown.journal.Journal;
import paredown.journal.Step;
import paredown.journal.StepState;
import paredown.refactor.code.Place;
import paredown.refactor.plan.Arguments;
import paredown.text.SourceText;

/**
 * The steps that were kept, as a file that {@code pare carry} does again: a command a line below
 * what it did. Code is named by what it says, not by the lines where it stood.
 */
final class StepsFile {
  private static final String HEAD =
      "# Steps that pare carry does again, a command a line. Lines that belong together have no empty\n"
          + "# line between them; what stands behind # above them says what they do.\n";

  private final Journal journal;

  StepsFile(Journal journal) {
    this.journal = journal;
  }

  String text() {
    StringBuilder text = new StringBuilder(HEAD);
    for (Step step : journal.steps()) {
      if (step.state() == StepState.VERIFIED) {
        text.append("\n# ").append(said(step.summary())).append('\n');
        for (String command : step.command().split(Arguments.AND)) {
          text.append(said(step, command)).append('\n');
        }
      }
    }
    return text.toString();
  }

  /** What a step did, without the lines where that was. */
  private static String said(String summary) {
    return summary
        .replaceAll("\\s+", " ")
        .replaceAll("^What stands in lines? \\d+( to \\d+)?", "Code");
  }

  private String said(Step step, String command) {
    return Arguments.words(command).stream()
        .filter(word -> !word.equals("--apply"))
        .map(word -> Arguments.quoted(quoted(step, word)))
        .collect(Collectors.joining(" "));
  }

  /** A place in lines as a place that is quoted; any other word as it is. */
  private String quoted(Step step, String word) {
    if (!word.matches(".+:\\d+(?:-\\d+|:\\d+-\\d+:\\d+)?")) {
      return word;
    }
    Place place = Place.of(word);
    try {
      return source(step, place.file()).map(place::quoted).map(Place::toString).orElse(word);
    } catch (UnusableRequest otherLines) {
      return word;
    }
  }

  /** The file of a path or type as it was before a step; empty where the step left it alone. */
  private Optional<SourceText> source(Step step, String file) {
    String type = file.replaceAll("#.*", "").replaceAll(".*[./](?=\\w+$)", "");
    return step.files().stream()
        .map(Step.Entry::path)
        .filter(path -> path.equals(file) || path.endsWith("/" + type + ".java"))
        .findFirst()
        .flatMap(
            path ->
                journal
                    .original(step, path)
                    .map(bytes -> new String(bytes, StandardCharsets.UTF_8))
                    .map(text -> new SourceText(path, text, StandardCharsets.UTF_8)));
  }
}
