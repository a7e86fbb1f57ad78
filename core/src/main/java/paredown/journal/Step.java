package paredown.journal;

import java.time.Instant;
import java.util.List;

/**
 * A step is a change that was applied.
 *
 * @param number counted from 1 in each project
 * @param change the id of the change
 * @param command the command that applied it
 * @param summary one sentence of what it did
 * @param files what it did to each file
 * @param folders those that it made for new files, relative to the project's root, outer ones first
 */
public record Step(
    int number,
    String change,
    String command,
    String summary,
    Instant when,
    StepState state,
    List<Entry> files,
    List<String> folders) {

  public Step {
    files = List.copyOf(files);
    folders = List.copyOf(folders);
  }

  /**
   * What a step did to one file.
   *
   * @param path relative to the project's root
   * @param before the fingerprint of what it was; empty where the step created it
   * @param after the fingerprint of what the step made of it; empty where the step deleted it
   */
  public record Entry(String path, String before, String after) {
    public boolean created() {
      return before.isEmpty();
    }

    public boolean deleted() {
      return after.isEmpty();
    }
  }

  Step in(StepState next) {
    return new Step(number, change, command, summary, when, next, files, folders);
  }
}
