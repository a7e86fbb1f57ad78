package paredown.refactor.carry;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * Where a new first member of a class is written: behind its opening brace, or behind the constants
 * of an enum.
 *
 * @param at the place
 * @param before what it begins with: white space, and what ends the constants where nothing does
 * @param behind the line ends behind it, with a blank line before what follows
 */
public record FirstMember(int at, String before, String behind) {

  public static FirstMember of(OwnerClass owner) {
    return of(owner, Layout.of(owner));
  }

  /** The same in a class that is laid out so. */
  static FirstMember of(OwnerClass owner, Layout layout) {
    SourceText source = owner.source();
    boolean constants = owner.element().getKind() == ElementKind.ENUM;
    int last = constants ? behindConstants(owner) : owner.opening() + 1;
    Token next = source.codeTokenFrom(last);
    boolean ended = !constants || source.spells(next, ";");
    int behind = constants && ended ? next.end() : last;
    boolean free = source.endsLine(behind) && ended;
    int at = free ? source.nextLine(behind) : behind;
    boolean parted = free && at < source.length() && source.lineText(source.line(at)).isBlank();
    String gap = free && !constants ? "" : layout.lineEnd();
    return new FirstMember(
        at,
        (ended ? gap : ";" + gap + gap) + layout.member(),
        ended ? layout.lineEnd().repeat(free && !parted ? 2 : 1) : "");
  }

  /** Behind the last constant of an enum, and a comma that follows it. */
  private static int behindConstants(OwnerClass owner) {
    int last = owner.opening() + 1;
    for (Tree each : owner.tree().getMembers()) {
      Element element = owner.trees().element(new TreePath(owner.path(), each));
      if (element != null && element.getKind() == ElementKind.ENUM_CONSTANT) {
        last = Math.max(last, owner.trees().end(each));
      }
    }
    Token next = owner.source().codeTokenFrom(last);
    return owner.source().spells(next, ",") ? next.end() : last;
  }
}
