package paredown.session;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.snakeyaml.engine.v2.api.Dump;
import org.snakeyaml.engine.v2.api.DumpSettings;
import org.snakeyaml.engine.v2.api.Load;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.snakeyaml.engine.v2.common.FlowStyle;
import org.snakeyaml.engine.v2.exceptions.YamlEngineException;
import paredown.MachineProblem;
import paredown.project.ProjectUnreadable;

/** The file of accepted findings, in the project's root; it is meant to be committed. */
final class AcceptedFile {
  static final String NAME = "pare-accepted.yaml";
  private static final String HEAD =
      "# Findings that this project lives with until they get worse.\n"
          + "# Written by pare accept; meant to be committed.\n";

  private final Path file;

  AcceptedFile(Path root) {
    this.file = root.resolve(NAME);
  }

  /**
   * The accepted findings, in the order of their ids; empty where there is no such file.
   *
   * @throws ProjectUnreadable where it is not what pare writes
   */
  List<Accepted> read() {
    if (!Files.exists(file)) {
      return List.of();
    }
    try {
      if (!Files.isRegularFile(file)) {
        throw new IOException(NAME + " is no file");
      }
      Object loaded =
          new Load(LoadSettings.builder().setLabel(NAME).build())
              .loadFromString(Files.readString(file));
      List<Accepted> found = new ArrayList<>();
      if (loaded instanceof Map<?, ?> map && map.get("accepted") instanceof List<?> list) {
        for (Object each : list) {
          found.add(accepted((Map<?, ?>) each));
        }
      }
      return found;
    } catch (IOException
        | YamlEngineException
        | ClassCastException
        | StackOverflowError unreadable) {
      throw new ProjectUnreadable(
          NAME + " cannot be read.",
          "Mend it, or take it back from version control; pare accept writes it.",
          unreadable);
    }
  }

  private static Accepted accepted(Map<?, ?> map) {
    Map<String, Integer> figures = new TreeMap<>();
    if (map.get("figures") instanceof Map<?, ?> values) {
      values.forEach((name, value) -> figures.put(String.valueOf(name), (Integer) value));
    }
    return new Accepted(
        text(map, "id"), text(map, "type"), text(map, "because"), text(map, "since"), figures);
  }

  private static String text(Map<?, ?> map, String key) {
    Object value = map.get(key);
    return value == null ? "" : String.valueOf(value);
  }

  /** Writes the accepted findings; without any, the file goes. */
  void write(List<Accepted> all) {
    try {
      if (all.isEmpty()) {
        Files.deleteIfExists(file);
        return;
      }
      List<Map<String, Object>> list = new ArrayList<>();
      all.stream().sorted(Comparator.comparing(Accepted::id)).forEach(each -> list.add(map(each)));
      String text =
          HEAD
              + new Dump(DumpSettings.builder().setDefaultFlowStyle(FlowStyle.BLOCK).build())
                  .dumpToString(Map.of("accepted", list));
      Path part = file.resolveSibling(NAME + ".part");
      Files.deleteIfExists(part);
      Files.writeString(part, text, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
      Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      throw new MachineProblem(
          NAME + " cannot be written: " + MachineProblem.reason(e) + ".",
          "Check the permissions of the project's folder.",
          e);
    }
  }

  private static Map<String, Object> map(Accepted accepted) {
    Map<String, Object> map = new LinkedHashMap<>();
    map.put("id", accepted.id());
    map.put("type", accepted.type());
    map.put("because", accepted.because());
    map.put("since", accepted.since());
    map.put("figures", new TreeMap<>(accepted.figures()));
    return map;
  }
}
