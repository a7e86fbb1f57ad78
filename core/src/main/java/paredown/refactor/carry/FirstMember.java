package paredown.refactor.carry;

import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/**
 * Where a new first member of a class is written.
 *
 * @param at the place, behind the opening brace
 * @param onLine whether the line behind the brace is free for it
 * @param before the white space that it begins with
 */
public record FirstMember(int at, boolean onLine, String before) {

  public static FirstMember of(OwnerClass owner) {
    return of(owner, Layout.of(owner));
  }

  /** The same in a class that is laid out so. */
  static FirstMember of(OwnerClass owner, Layout layout) {
    SourceText source = owner.source();
    int behind = owner.opening() + 1;
    boolean free = source.endsLine(behind);
    return new FirstMember(
        free ? source.nextLine(behind) : behind,
        free,
        (free ? "" : layout.lineEnd()) + layout.member());
  }
}
