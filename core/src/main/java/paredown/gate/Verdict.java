package paredown.gate;

import java.util.List;

/**
 * A verdict is what the first two gates say of a change.
 *
 * @param files how many files were compiled
 * @param errors errors that were not there before
 * @param names how many uses were compared
 * @param breaks the uses that would mean something else, those nobody accounted for, and what is
 *     put together otherwise
 * @param types expressions that would have another type, which the compiler infers
 * @param dispatch what objects would run another method for, though no name tells
 */
public record Verdict(
    int files,
    List<String> errors,
    int names,
    List<String> breaks,
    List<String> types,
    List<String> dispatch) {

  public Verdict {
    errors = List.copyOf(errors);
    breaks = List.copyOf(breaks);
    types = List.copyOf(types);
    dispatch = List.copyOf(dispatch);
  }

  public boolean passed() {
    return errors.isEmpty() && breaks.isEmpty() && types.isEmpty() && dispatch.isEmpty();
  }
}
