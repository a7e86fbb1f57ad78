package paredown.refactor.operation.extractclass;

import java.util.List;
import javax.lang.model.element.Modifier;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;
import paredown.text.Wrapped;

/**
 * The comment of a new class, which says what of the old one it is; of several lines where it is
 * long.
 *
 * @param opening up to the name of the old class
 * @param closing what follows that
 */
record ClassComment(String opening, String closing) {
  private static final int WIDE = 100;

  /** The names of methods, of those only that others see where there are such. */
  static List<String> names(List<OwnerClass.Method> methods) {
    List<OwnerClass.Method> seen =
        methods.stream().filter(each -> !each.is(Modifier.PRIVATE)).toList();
    return (seen.isEmpty() ? methods : seen)
        .stream().map(method -> method.name() + "()").distinct().toList();
  }

  /**
   * The comment that lists some names.
   *
   * @param outer the white space before the class
   * @param of the words behind the names, with a space on either side
   * @param owner the old class's name
   */
  static ClassComment of(String outer, List<String> names, String of, String owner, String end) {
    String oneLine = outer + "/** The " + Listed.of(names) + of;
    if (oneLine.length() + owner.length() + "{@link }. */".length() <= WIDE) {
      return new ClassComment(oneLine, "}. */" + end);
    }
    String prefix = outer + " * ";
    List<String> lines = Wrapped.lines("The " + Listed.of(names) + of, WIDE - prefix.length());
    String last = prefix + lines.get(lines.size() - 1);
    boolean room = last.length() + owner.length() + " {@link }.".length() <= WIDE;
    return new ClassComment(
        outer
            + "/**"
            + end
            + prefix
            + String.join(end + prefix, lines)
            + (room ? " " : end + prefix),
        "}." + end + outer + " */" + end);
  }
}
