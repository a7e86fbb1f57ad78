package paredown.gate;

import java.util.List;

/**
 * A verdict is what the first two gates say of a change.
 *
 * @param files how many files were compiled
 * @param errors errors that were not there before
 * @param names how many uses were compared
 * @param breaks the uses that would mean something else, and those nobody accounted for
 */
public record Verdict(int files, List<String> errors, int names, List<String> breaks) {

  public Verdict {
    errors = List.copyOf(errors);
    breaks = List.copyOf(breaks);
  }

  public boolean passed() {
    return errors.isEmpty() && breaks.isEmpty();
  }
}
