package paredown.refactor.code;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Use;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.text.SourceText;

/**
 * The types of parameters that a Javadoc reference to a method says.
 *
 * @param start where they begin, behind the bracket
 * @param end where they end
 * @param types as they are written
 */
public record ReferencedTypes(int start, int end, List<String> types) {

  /**
   * The types that a reference says; empty where it says none.
   *
   * @param parameters how many the method has
   * @throws Refused where it says them in another way
   */
  public static Optional<ReferencedTypes> in(SourceText source, Use use, int parameters) {
    int end = DocReference.end(source, use.offset());
    int open = source.text().indexOf('(', use.offset());
    if (open < 0 || open >= end) {
      return Optional.empty();
    }
    String inner = source.slice(open + 1, end - 1);
    List<String> types = Arrays.stream(inner.split(",", -1)).map(String::strip).toList();
    if (types.size() != parameters || inner.contains("<")) {
      throw Refused.advising(
          RefusalKind.CALL_SHAPE,
          "A Javadoc link names the parameters in a way that is not understood yet.",
          "Write it as {@link Type#member} first.",
          source.place(use.offset()));
    }
    return Optional.of(new ReferencedTypes(open + 1, end - 1, types));
  }

  /** The edit that says other types. */
  public Replacement saying(List<String> now) {
    return Replacement.of(start, end, Written.plain(String.join(", ", now)));
  }
}
