package paredown.gate;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

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

  /** What it says first of a change that did not pass; empty where it has nothing to say. */
  public Optional<Objection> first() {
    return Stream.of(errors, breaks, types, dispatch)
        .flatMap(List::stream)
        .findFirst()
        .map(Objection::of);
  }

  /**
   * One thing that a verdict says.
   *
   * @param place in the changed text; empty where it has none
   */
  public record Objection(String place, String what) {
    private static final Pattern PLACED = Pattern.compile("(\\S+:\\d+):? (.*)", Pattern.DOTALL);

    private static Objection of(String sentence) {
      Matcher placed = PLACED.matcher(sentence);
      return placed.matches()
          ? new Objection(placed.group(1), placed.group(2))
          : new Objection("", sentence);
    }
  }
}
