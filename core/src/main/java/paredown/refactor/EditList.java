package paredown.refactor;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import paredown.edit.Replacement;

/** The edits of a change, by files. Those within a range can be taken along when it moves. */
final class EditList {
  private final Map<String, List<Replacement>> byFile = new TreeMap<>();

  void add(String file, Replacement edit) {
    of(file).add(edit);
  }

  List<Replacement> of(String file) {
    return byFile.computeIfAbsent(file, path -> new ArrayList<>());
  }

  Map<String, List<Replacement>> byFile() {
    return byFile;
  }

  /** Takes out the edits within a range, which moves and brings them along. */
  List<Replacement> take(String file, int start, int end) {
    List<Replacement> within =
        of(file).stream().filter(edit -> edit.start() >= start && edit.end() <= end).toList();
    of(file).removeAll(within);
    return within;
  }
}
