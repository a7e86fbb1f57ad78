package paredown.bench.differential;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A small program is a few files in the unnamed package, of which {@code Main} is run, and an
 * operation that is tried on them.
 *
 * @param command the operation as it is typed, without {@code pare}
 * @param files texts by file names
 */
public record SmallProgram(String name, String command, Map<String, String> files) {

  public SmallProgram {
    files = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(files));
  }

  SmallProgram withFiles(Map<String, String> others) {
    return new SmallProgram(name, command, others);
  }

  /** Reads programs as they are kept: {@code #### NAME}, {@code $ COMMAND}, {@code --- FILE}. */
  public static List<SmallProgram> read(List<String> lines) {
    List<SmallProgram> programs = new ArrayList<>();
    String name = null;
    String command = "";
    Map<String, String> files = new LinkedHashMap<>();
    String file = null;
    for (String line : lines) {
      if (line.startsWith("#### ")) {
        if (name != null) {
          programs.add(new SmallProgram(name, command, files));
        }
        name = line.substring(5).strip();
        files = new LinkedHashMap<>();
        file = null;
      } else if (line.startsWith("$ ")) {
        command = line.substring(2).strip();
      } else if (line.startsWith("--- ")) {
        file = line.substring(4).strip();
        files.put(file, "");
      } else if (file != null) {
        files.merge(file, line + "\n", String::concat);
      }
    }
    if (name != null) {
      programs.add(new SmallProgram(name, command, files));
    }
    return programs;
  }

  /** The program as it is kept. */
  String text() {
    StringBuilder text = new StringBuilder("#### " + name + "\n$ " + command + "\n");
    files.forEach((path, content) -> text.append("--- ").append(path).append('\n').append(content));
    return text.toString();
  }
}
