package paredown.refactor.operation.extractmethod;

import java.util.Set;
import java.util.TreeSet;
import paredown.UnusableRequest;
import paredown.refactor.plan.Arguments;

/**
 * The other places that say the same as a part, and which of them call its method, too.
 *
 * @param left those that stay as they are, each {@code FILE:LINE}
 */
public record Others(Duplicates which, Set<String> left) {

  /** None of them. */
  static final Others NONE = new Others(Duplicates.NONE, Set.of());

  public Others {
    left = Set.copyOf(left);
    if (!left.isEmpty() && which == Duplicates.NONE) {
      throw new UnusableRequest(
          "Without --duplicates no other place changes.",
          "Leave --leave out, or say --duplicates.");
    }
  }

  /** All but those that stay. */
  Others leaving(Set<String> more) {
    Set<String> all = new TreeSet<>(left);
    all.addAll(more);
    return new Others(which, all);
  }

  /** Whether some of them change. */
  boolean isAny() {
    return which != Duplicates.NONE;
  }

  /** The options that ask for it. */
  String options() {
    return (isAny() ? " --duplicates " + which.word() : "")
        + (left.isEmpty()
            ? ""
            : " --leave " + Arguments.quoted(String.join(",", new TreeSet<>(left))));
  }
}
