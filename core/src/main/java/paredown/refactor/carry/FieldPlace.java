package paredown.refactor.carry;

import java.util.function.Predicate;
import javax.lang.model.element.Modifier;
import paredown.refactor.use.OwnerClass;

/**
 * Where a new field of a class is put: behind those like it that the class begins with, or else as
 * its first member.
 *
 * @param at the place
 * @param before what stands in front of the field: line ends and white space
 * @param behind what stands behind it
 */
public record FieldPlace(int at, String before, String behind) {

  /** The place of a static field in a class, which may be an interface: behind its constants. */
  public static FieldPlace ofStatic(OwnerClass owner) {
    return ofStatic(owner, Layout.of(owner));
  }

  /** The same in a class that is laid out so. */
  public static FieldPlace ofStatic(OwnerClass owner, Layout layout) {
    return behind(owner, layout, each -> each.is(Modifier.STATIC) && each.is(Modifier.FINAL));
  }

  /** The place of a field that each object has, behind all others. */
  public static FieldPlace ofInstance(OwnerClass owner) {
    return ofInstance(owner, Layout.of(owner));
  }

  /** The same in a class that is laid out so. */
  public static FieldPlace ofInstance(OwnerClass owner, Layout layout) {
    return behind(owner, layout, each -> true);
  }

  /** The place in front of a field, with its comment. */
  public static FieldPlace inFront(OwnerClass owner, OwnerClass.Field field) {
    Layout layout = Layout.of(owner);
    int start = field.range().signs(owner.source())[0];
    int line = owner.source().lineStart(start);
    boolean first = owner.source().startsLine(start);
    return new FieldPlace(
        first ? line : start,
        first ? layout.member() : "",
        layout.lineEnd() + (first ? "" : layout.member()));
  }

  private static FieldPlace behind(
      OwnerClass owner, Layout layout, Predicate<OwnerClass.Field> like) {
    String end = layout.lineEnd();
    OwnerClass.Field last = last(owner, like);
    if (last == null) {
      FirstMember first = FirstMember.of(owner, layout);
      return new FieldPlace(first.at(), first.before(), first.behind());
    }
    int behind = last.range().end();
    boolean line =
        behind > last.range().declarationEnd() && owner.source().lineStart(behind) == behind;
    return line
        ? new FieldPlace(behind, layout.member(), end)
        : new FieldPlace(last.range().declarationEnd(), end + layout.member(), "");
  }

  /** The last of the fields like it that a class begins with; null where it has none. */
  private static OwnerClass.Field last(OwnerClass owner, Predicate<OwnerClass.Field> like) {
    OwnerClass.Field last = null;
    for (OwnerClass.Field field : owner.fields()) {
      if (!like.test(field)) {
        break;
      }
      last = field;
    }
    return last;
  }
}
