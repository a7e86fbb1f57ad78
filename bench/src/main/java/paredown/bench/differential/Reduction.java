package paredown.bench.differential;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Makes a program that fails smaller, line by line and block by block, while it goes on failing.
 */
final class Reduction {
  private final Trial.Outcome outcome;
  private SmallProgram smallest;

  private Reduction(SmallProgram program, Trial.Outcome outcome) {
    this.smallest = program;
    this.outcome = outcome;
  }

  static SmallProgram of(SmallProgram program, Trial.Outcome outcome) {
    Reduction reduction = new Reduction(program, outcome);
    while (reduction.shrinks()) {
      // Until nothing more can be left out.
    }
    return reduction.smallest;
  }

  private boolean shrinks() {
    boolean smaller = false;
    for (String file : List.copyOf(smallest.files().keySet())) {
      if (!file.equals("Main.java") && without(file)) {
        smaller = true;
        continue;
      }
      smaller |= shrinks(file);
    }
    return smaller;
  }

  private boolean without(String file) {
    Map<String, String> files = new LinkedHashMap<>(smallest.files());
    files.remove(file);
    return fails(files);
  }

  private boolean shrinks(String file) {
    boolean smaller = false;
    List<String> lines = new ArrayList<>(smallest.files().get(file).lines().toList());
    for (int i = lines.size() - 1; i >= 0; i--) {
      int end = end(lines, i);
      if (end < 0) {
        continue;
      }
      List<String> fewer = new ArrayList<>(lines);
      fewer.subList(i, end).clear();
      Map<String, String> files = new LinkedHashMap<>(smallest.files());
      files.put(file, String.join("\n", fewer) + "\n");
      if (fails(files)) {
        lines = fewer;
        smaller = true;
      }
    }
    return smaller;
  }

  /** Behind the lines that belong together from one on; -1 where they do not end. */
  private static int end(List<String> lines, int from) {
    int depth = 0;
    for (int i = from; i < lines.size(); i++) {
      for (char sign : lines.get(i).toCharArray()) {
        depth += sign == '{' ? 1 : sign == '}' ? -1 : 0;
        if (depth < 0) {
          return -1;
        }
      }
      if (depth == 0) {
        return i + 1;
      }
    }
    return -1;
  }

  private boolean fails(Map<String, String> files) {
    SmallProgram smaller = smallest.withFiles(files);
    if (Trial.of(smaller).outcome() == outcome) {
      smallest = smaller;
      return true;
    }
    return false;
  }
}
