package paredown.journal;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import java.util.stream.Collectors;

/** How a step is kept in its folder: its intent in one file, its state in another. */
final class StepFile {
  static final String INTENT = "intent.properties";
  static final String STATE = "state";

  private StepFile() {}

  static byte[] intent(Step step) {
    Properties properties = new Properties();
    properties.setProperty("change", step.change());
    properties.setProperty("command", step.command());
    properties.setProperty("summary", step.summary());
    properties.setProperty("when", step.when().toString());
    properties.setProperty("files", String.valueOf(step.files().size()));
    for (int i = 0; i < step.files().size(); i++) {
      Step.Entry entry = step.files().get(i);
      properties.setProperty("file." + i + ".path", entry.path());
      properties.setProperty("file." + i + ".before", entry.before());
      properties.setProperty("file." + i + ".after", entry.after());
    }
    properties.setProperty("folders", String.valueOf(step.folders().size()));
    for (int i = 0; i < step.folders().size(); i++) {
      properties.setProperty("folder." + i, step.folders().get(i));
    }
    StringWriter text = new StringWriter();
    try {
      properties.store(text, null);
    } catch (IOException e) {
      throw new IllegalStateException("a string can always be written to", e);
    }
    // In one order and without the time at the top, the same step is the same text, on every JDK.
    return text.toString()
        .lines()
        .filter(line -> !line.startsWith("#"))
        .sorted()
        .collect(Collectors.joining("\n", "", "\n"))
        .getBytes(StandardCharsets.UTF_8);
  }

  /** Reads an intent; whoever calls has made sure that it is one of ours. */
  static Step read(int number, StepState state, byte[] intent) throws IOException {
    Properties properties = new Properties();
    properties.load(new StringReader(new String(intent, StandardCharsets.UTF_8)));
    List<Step.Entry> files = new ArrayList<>();
    int count = Integer.parseInt(properties.getProperty("files"));
    for (int i = 0; i < count; i++) {
      files.add(
          new Step.Entry(
              properties.getProperty("file." + i + ".path"),
              properties.getProperty("file." + i + ".before"),
              properties.getProperty("file." + i + ".after")));
    }
    List<String> folders = new ArrayList<>();
    int made = Integer.parseInt(properties.getProperty("folders", "0"));
    for (int i = 0; i < made; i++) {
      folders.add(properties.getProperty("folder." + i));
    }
    return new Step(
        number,
        properties.getProperty("change"),
        properties.getProperty("command"),
        properties.getProperty("summary"),
        Instant.parse(properties.getProperty("when")),
        state,
        files,
        folders);
  }
}
