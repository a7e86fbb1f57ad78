package paredown.project;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.snakeyaml.engine.v2.api.Load;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.snakeyaml.engine.v2.exceptions.MarkedYamlEngineException;
import org.snakeyaml.engine.v2.exceptions.YamlEngineException;

/** The settings file as it was written: keys and values, with complaints that name the line. */
record SettingsFile(Map<String, Object> values, String text) {
  private static final Set<String> KEYS =
      Set.of(
          "sources",
          "tests",
          "class-path",
          "release",
          "encoding",
          "test-command",
          "test-reports",
          "test-timeout",
          "exclude",
          "history",
          "strict",
          "limits");

  static SettingsFile parse(String text) {
    Object loaded = load(text);
    if (loaded == null) {
      return new SettingsFile(Map.of(), text);
    }
    if (!(loaded instanceof Map<?, ?> map)) {
      throw new ProjectUnreadable(
          Settings.FILE + " is no list of keys with values.",
          "Write lines like test-command: make test.");
    }
    Map<String, Object> values = new LinkedHashMap<>();
    map.forEach((key, value) -> values.put(String.valueOf(key), value));
    SettingsFile file = new SettingsFile(values, text);
    for (String key : values.keySet()) {
      if (!KEYS.contains(key)) {
        throw file.wrong(
            key,
            "there is no such key",
            Nearest.advice(
                key, KEYS, "The keys are " + String.join(", ", KEYS.stream().sorted().toList())));
      }
    }
    return file;
  }

  private static Object load(String text) {
    try {
      return new Load(LoadSettings.builder().setLabel(Settings.FILE).build()).loadFromString(text);
    } catch (MarkedYamlEngineException e) {
      String line = e.getProblemMark().map(mark -> ":" + (mark.getLine() + 1)).orElse("");
      throw new ProjectUnreadable(
          Settings.FILE + line + " is no YAML: " + e.getProblem() + ".", "Mend that line.", e);
    } catch (YamlEngineException | StackOverflowError e) {
      throw new ProjectUnreadable(Settings.FILE + " is no YAML that pare reads.", "Mend it.", e);
    }
  }

  Optional<String> text(String key) {
    Object value = values.get(key);
    if (value instanceof List || value instanceof Map) {
      throw wrong(key, "one value is needed", "Write " + key + ": and the value behind it.");
    }
    return Optional.ofNullable(value).map(String::valueOf);
  }

  List<String> texts(String key) {
    Object value = values.get(key);
    if (value == null) {
      return List.of();
    }
    return value instanceof List<?> list
        ? list.stream().map(String::valueOf).toList()
        : List.of(String.valueOf(value));
  }

  /** Whether a key is set to true; not where it is missing. */
  boolean flag(String key) {
    Object value = values.get(key);
    if (value == null || value instanceof Boolean) {
      return Boolean.TRUE.equals(value);
    }
    throw wrong(key, value + " is neither true nor false", "Write " + key + ": true.");
  }

  Optional<Integer> number(String key) {
    return Optional.ofNullable(values.get(key)).map(value -> number(key, value));
  }

  Map<String, Integer> numbers(String key) {
    Object value = values.get(key);
    if (value == null) {
      return Map.of();
    }
    if (!(value instanceof Map<?, ?> map)) {
      throw wrong(key, "it needs names with numbers", "Write them indented below " + key + ":.");
    }
    Map<String, Integer> found = new LinkedHashMap<>();
    map.forEach(
        (name, each) -> found.put(String.valueOf(name), number(String.valueOf(name), each)));
    return found;
  }

  private Integer number(String key, Object value) {
    if (value instanceof Integer number && number > 0) {
      return number;
    }
    throw wrong(key, value + " is not a whole number above 0", "Write " + key + ": 17, say.");
  }

  ProjectUnreadable wrong(String key, String what, String advice) {
    return new ProjectUnreadable(
        "%s:%d: %s: %s.".formatted(Settings.FILE, line(text, key), key, what), advice);
  }

  /** The line on which a key stands. */
  static int line(String text, String key) {
    return 1 + (int) text.lines().takeWhile(each -> !each.strip().startsWith(key)).count();
  }
}
