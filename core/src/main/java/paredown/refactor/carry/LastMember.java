package paredown.refactor.carry;

import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/**
 * Where a new last member of a class is written, behind an empty line.
 *
 * @param at the place, in front of the closing brace or of its line
 * @param before the line ends that it begins with
 */
public record LastMember(int at, String before) {

  public static LastMember of(OwnerClass owner) {
    SourceText source = owner.source();
    int closing = owner.trees().end(owner.tree()) - 1;
    boolean line = source.startsLine(closing);
    return new LastMember(
        line ? source.lineStart(closing) : closing, source.lineEnd().repeat(line ? 1 : 2));
  }
}
