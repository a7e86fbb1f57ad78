package paredown.journal;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;

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
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  static Step read(Path folder) throws IOException {
    Properties properties = new Properties();
    properties.load(new StringReader(Files.readString(folder.resolve(INTENT))));
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
        Integer.parseInt(folder.getFileName().toString()),
        properties.getProperty("change"),
        properties.getProperty("command"),
        properties.getProperty("summary"),
        Instant.parse(properties.getProperty("when")),
        StepState.valueOf(Files.readString(folder.resolve(STATE)).strip()),
        files,
        folders);
  }
}
