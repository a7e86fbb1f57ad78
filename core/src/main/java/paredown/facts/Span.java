package paredown.facts;

import java.util.List;

/**
 * A span is one statement of a body.
 *
 * @param start offset of its first character
 * @param end offset behind its last character
 * @param depth how many statements it stands in
 * @param block where the code begins in which it follows others
 * @param jumps whether it may leave itself by return, break or continue
 * @param comment the comment on the line before; empty where there is none
 * @param paragraph whether a blank line or a comment stands before it
 * @param wording what it says
 */
public record Span(
    int start,
    int end,
    int firstLine,
    int lastLine,
    int depth,
    int block,
    boolean jumps,
    String comment,
    boolean paragraph,
    Wording wording) {

  /** Statements that follow each other as one, a paragraph of its own. */
  public static Span joined(List<Span> spans) {
    Span first = spans.get(0);
    Span last = spans.get(spans.size() - 1);
    return new Span(
        first.start(),
        last.end(),
        first.firstLine(),
        last.lastLine(),
        first.depth(),
        first.block(),
        spans.stream().anyMatch(Span::jumps),
        first.comment(),
        true,
        Wording.NONE);
  }

  public boolean holds(int offset) {
    return start <= offset && offset < end;
  }

  public int lines() {
    return lastLine - firstLine + 1;
  }
}
