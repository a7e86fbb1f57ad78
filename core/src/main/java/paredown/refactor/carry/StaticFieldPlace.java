package paredown.refactor.carry;

import javax.lang.model.element.Modifier;
import paredown.refactor.use.OwnerClass;

/**
 * Where a new static field of a class is put: behind the constants that the class begins with, or
 * else as its first member.
 *
 * @param at the place
 * @param before what stands in front of the field: line ends and white space
 * @param behind what stands behind it
 */
public record StaticFieldPlace(int at, String before, String behind) {

  /** The place in a class, which may be an interface. */
  public static StaticFieldPlace of(OwnerClass owner) {
    Layout layout = Layout.of(owner);
    String end = layout.lineEnd();
    OwnerClass.Field last = lastConstant(owner);
    if (last == null) {
      FirstMember first = FirstMember.of(owner);
      return new StaticFieldPlace(first.at(), first.before(), first.onLine() ? end + end : end);
    }
    int behind = last.range().end();
    boolean line =
        behind > last.range().declarationEnd() && owner.source().lineStart(behind) == behind;
    return line
        ? new StaticFieldPlace(behind, layout.member(), end)
        : new StaticFieldPlace(last.range().declarationEnd(), end + layout.member(), "");
  }

  /** The last of the constants that a class begins with; null where it has none. */
  private static OwnerClass.Field lastConstant(OwnerClass owner) {
    OwnerClass.Field last = null;
    for (OwnerClass.Field field : owner.fields()) {
      boolean constant = field.is(Modifier.STATIC) && field.is(Modifier.FINAL);
      if (!constant) {
        break;
      }
      last = field;
    }
    return last;
  }
}
