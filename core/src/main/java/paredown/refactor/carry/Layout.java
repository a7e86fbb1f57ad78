package paredown.refactor.carry;

import paredown.edit.Indent;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/**
 * The layout of a class: how its members are indented and how its lines end.
 *
 * @param member the white space before its members
 * @param unit the white space that one level adds
 * @param lineEnd what ends a line
 */
public record Layout(String member, String unit, String lineEnd) {
  /** How wide a line may become before it is broken. */
  public static final int WIDTH = 100;

  public static Layout of(OwnerClass owner) {
    return of(owner, "    ");
  }

  /**
   * The layout of a class.
   *
   * @param unit what one level adds where the class has no members to tell
   */
  public static Layout of(OwnerClass owner, String unit) {
    SourceText source = owner.source();
    String outer = source.indentAt(owner.trees().start(owner.tree()));
    String member =
        owner
            .memberStarts()
            .filter(source::startsLine)
            .map(source::indentAt)
            .filter(indent -> indent.length() > outer.length() && indent.startsWith(outer))
            .findFirst()
            .orElse(outer + unit);
    return new Layout(member, member.substring(outer.length()), source.lineEnd());
  }

  /** The layout of the same members in a top-level class. */
  public Layout atTopLevel() {
    return new Layout(unit, unit, lineEnd);
  }

  /** The layout of the same members in a class within this one. */
  public Layout nested() {
    return new Layout(body(), unit, lineEnd);
  }

  /** How members of this class are indented anew in another. */
  public Indent to(Layout other) {
    return new Indent(member, other.member());
  }

  public String body() {
    return member + unit;
  }
}
