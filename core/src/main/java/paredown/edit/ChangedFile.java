package paredown.edit;

import java.util.List;
import java.util.Optional;
import paredown.text.SourceText;

/**
 * A changed file is one file as a change would leave it, with the origin of all its text. One that
 * would hold nothing is deleted.
 *
 * @param path where it is afterwards
 * @param before its text so far, with the path that it had; empty where the change creates it
 * @param runs the stretches that stand as they did before, in order
 * @param written the names in the rest, at their offsets in the new text
 * @param dropped the uses of the old text that are gone
 * @param regions what was put in the place of what, outer ones before those within
 */
public record ChangedFile(
    String path,
    Optional<SourceText> before,
    SourceText after,
    List<Run> runs,
    List<WrittenUse> written,
    List<Replacement.Dropped> dropped,
    List<Region> regions) {

  public ChangedFile {
    regions = List.copyOf(regions);
    runs = List.copyOf(runs);
    written = List.copyOf(written);
    dropped = List.copyOf(dropped);
  }

  /**
   * A file that several changes have come to, each of which the gates have judged by itself, so
   * that where its text came from is not kept.
   */
  public static ChangedFile judged(String path, Optional<SourceText> before, SourceText after) {
    return new ChangedFile(path, before, after, List.of(), List.of(), List.of(), List.of());
  }

  /**
   * Whether it is Java that the compiler reads with the rest: all but lists, settings and texts.
   */
  public boolean isCode() {
    return isCode(path);
  }

  static boolean isCode(String path) {
    return path.endsWith(".java") && !path.endsWith("module-info.java");
  }

  /** Whether it is left as it was. */
  boolean isSame() {
    return before
        .filter(old -> old.path().equals(path) && old.text().equals(after.text()))
        .isPresent();
  }

  public boolean isNew() {
    return before.isEmpty();
  }

  /** Whether it goes: a file that would hold nothing is not there afterwards. */
  public boolean isDeleted() {
    return after.text().isEmpty();
  }

  /** The path that it had where it has another now; empty for all others. */
  public Optional<String> movedFrom() {
    return before.map(SourceText::path).filter(old -> !old.equals(path));
  }

  /** The same file under another path. */
  public ChangedFile at(String other) {
    SourceText text = new SourceText(other, after.text(), after.charset());
    return new ChangedFile(other, before, text, runs, written, dropped, regions);
  }

  /** The run that covers an offset of the new text; empty where that was written. */
  public Optional<Run> runAt(int offset) {
    int low = 0;
    int high = runs.size() - 1;
    while (low <= high) {
      int middle = (low + high) >>> 1;
      Run run = runs.get(middle);
      if (run.covers(offset)) {
        return Optional.of(run);
      }
      if (run.start() > offset) {
        high = middle - 1;
      } else {
        low = middle + 1;
      }
    }
    return Optional.empty();
  }
}
