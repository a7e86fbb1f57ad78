package paredown.refactor.carry;

import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/**
 * Where a new first member of a class is written.
 *
 * @param at the place, behind the opening brace
 * @param before the white space that it begins with
 * @param behind the line ends behind it, with a blank line before what follows
 */
public record FirstMember(int at, String before, String behind) {

  public static FirstMember of(OwnerClass owner) {
    return of(owner, Layout.of(owner));
  }

  /** The same in a class that is laid out so. */
  static FirstMember of(OwnerClass owner, Layout layout) {
    SourceText source = owner.source();
    int behind = owner.opening() + 1;
    boolean free = source.endsLine(behind);
    int at = free ? source.nextLine(behind) : behind;
    boolean parted = free && at < source.length() && source.lineText(source.line(at)).isBlank();
    return new FirstMember(
        at,
        (free ? "" : layout.lineEnd()) + layout.member(),
        layout.lineEnd().repeat(free && !parted ? 2 : 1));
  }
}
