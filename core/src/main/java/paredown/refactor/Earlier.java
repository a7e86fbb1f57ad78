package paredown.refactor;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Run;
import paredown.text.SourceText;

/**
 * Tells of a place in sources that were changed in memory where that stood before.
 *
 * @param changes in the order in which they were made
 */
public record Earlier(List<Change> changes) {
  private static final Pattern PLACE = Pattern.compile("(.*):(\\d+)");

  /** The place before all changes; the file alone where the line was written by one. */
  public String place(String now) {
    String place = now;
    for (int at = changes.size() - 1; at >= 0; at--) {
      place = before(place, changes.get(at));
    }
    return place;
  }

  private static String before(String place, Change change) {
    Matcher parts = PLACE.matcher(place);
    Optional<ChangedFile> file = parts.matches() ? change.file(parts.group(1)) : Optional.empty();
    return file.isEmpty() ? place : before(file.get(), Integer.parseInt(parts.group(2)), change);
  }

  private static String before(ChangedFile file, int line, Change change) {
    SourceText after = file.after();
    int start = after.lineOffset(line);
    int end = after.nextLine(start);
    for (Run run : file.runs()) {
      int from = Math.max(start, run.start());
      boolean within = from < Math.min(end, run.start() + run.length());
      if (within && !after.slice(from, Math.min(end, run.start() + run.length())).isBlank()) {
        return origin(run, from, change);
      }
    }
    return file.path();
  }

  private static String origin(Run run, int offset, Change change) {
    return change
        .fileBefore(run.origin())
        .flatMap(ChangedFile::before)
        .map(before -> before.place(run.originOf(offset)))
        .orElse(run.origin());
  }
}
