package paredown.refactor.operation.inlineclass;

import java.util.ArrayList;
import java.util.List;
import paredown.program.Use;
import paredown.refactor.code.MemberRange;
import paredown.refactor.name.TypeRemoval;
import paredown.refactor.use.OwnerClass;

/** The methods of a class that goes which code that stays comes to call. */
final class UsedMethods {
  private final OwnerClass gone;
  private final List<OwnerClass.Method> all;

  UsedMethods(OwnerClass gone) {
    this.gone = gone;
    this.all = find();
  }

  /** These, in the order of the text. */
  List<OwnerClass.Method> all() {
    return all;
  }

  /** The methods that nobody calls. */
  List<String> others() {
    return gone.methods().stream()
        .filter(each -> !all.contains(each))
        .map(OwnerClass.Method::name)
        .distinct()
        .toList();
  }

  /** The methods that code which stays comes to call. */
  private List<OwnerClass.Method> find() {
    List<OwnerClass.Method> found = new ArrayList<>();
    boolean more = true;
    while (more) {
      more = false;
      for (OwnerClass.Method method : gone.methods()) {
        boolean called =
            !found.contains(method)
                && gone.program().uses().of(method.key()).stream()
                    .anyMatch(use -> counts(use, found));
        if (called) {
          found.add(method);
          more = true;
        }
      }
    }
    return gone.methods().stream().filter(found::contains).toList();
  }

  /** Whether a use stands in code that stays. */
  private boolean counts(Use use, List<OwnerClass.Method> known) {
    boolean within =
        use.file().equals(gone.trees().path())
            && TypeRemoval.range(gone)[0] <= use.offset()
            && use.offset() < TypeRemoval.range(gone)[1];
    return !within
        || known.stream().anyMatch(each -> isIn(each.range(), use))
        || gone.fields().stream().anyMatch(each -> isIn(each.range(), use));
  }

  private static boolean isIn(MemberRange range, Use use) {
    return range.start() <= use.offset() && use.offset() < range.end();
  }
}
