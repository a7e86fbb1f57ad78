package paredown.refactor;

import paredown.edit.Indent;
import paredown.text.SourceText;

/**
 * The layout of a class: how its members are indented and how its lines end.
 *
 * @param member the white space before its members
 * @param unit the white space that one level adds
 * @param lineEnd what ends a line
 */
record Layout(String member, String unit, String lineEnd) {
  /** How wide a line may become before it is broken. */
  static final int WIDTH = 100;

  static Layout of(OwnerClass owner) {
    return of(owner, "    ");
  }

  /**
   * The layout of a class.
   *
   * @param unit what one level adds where the class has no members to tell
   */
  static Layout of(OwnerClass owner, String unit) {
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
  Layout atTopLevel() {
    return new Layout(unit, unit, lineEnd);
  }

  /** The layout of the same members in a class within this one. */
  Layout nested() {
    return new Layout(body(), unit, lineEnd);
  }

  /** How members of this class are indented anew in another. */
  Indent to(Layout other) {
    return new Indent(member, other.member());
  }

  String body() {
    return member + unit;
  }
}
