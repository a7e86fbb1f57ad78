package paredown.refactor.code;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import paredown.text.SourceText;
import paredown.text.Token;

/**
 * The range of a member with all that belongs to it: the comments above it and behind it, and whole
 * lines where it has them for itself.
 *
 * @param start where its first comment or the line of it begins
 * @param declaration where its modifiers begin
 * @param declarationEnd behind its closing brace or semicolon
 * @param end behind its last comment, or behind its line
 */
public record MemberRange(int start, int declaration, int declarationEnd, int end) {

  public static MemberRange of(SourceText source, int declaration, int declarationEnd) {
    int first = declaration;
    for (int i = source.tokenAt(declaration) - 1; i >= 0; i--) {
      Token token = source.tokens().get(i);
      boolean attached =
          token.kind().isComment()
              && source.startsLine(token.start())
              && source.line(first) - source.line(token.end() - 1) <= 1;
      if (!attached) {
        break;
      }
      first = token.start();
    }
    int start = source.startsLine(first) ? source.lineStart(first) : first;
    int last = declarationEnd;
    for (int i = source.tokenAt(declarationEnd); i < source.tokens().size(); i++) {
      Token token = source.tokens().get(i);
      boolean trailing =
          token.kind().isComment() && source.line(token.start()) == source.line(last);
      if (!trailing || source.line(token.end() - 1) != source.line(last)) {
        break;
      }
      last = token.end();
    }
    int end =
        source.endsLine(last) && start == source.lineStart(first) ? source.nextLine(last) : last;
    return new MemberRange(start, declaration, declarationEnd, end);
  }

  /** Where its first sign begins and its last one ends, comments being signs. */
  public int[] signs(SourceText source) {
    int first = start;
    while (Character.isWhitespace(source.text().charAt(first))) {
      first++;
    }
    int last = end;
    while (Character.isWhitespace(source.text().charAt(last - 1))) {
      last--;
    }
    return new int[] {first, last};
  }

  /** Ranges that stand next to each other, with nothing but blank lines between, as one. */
  public static List<int[]> merged(SourceText source, List<MemberRange> ranges) {
    List<MemberRange> sorted = new ArrayList<>(ranges);
    sorted.sort(Comparator.comparingInt(MemberRange::start));
    List<int[]> merged = new ArrayList<>();
    for (MemberRange range : sorted) {
      int[] last = merged.isEmpty() ? null : merged.get(merged.size() - 1);
      if (last != null && source.slice(last[1], range.start()).isBlank()) {
        last[1] = range.end();
      } else {
        merged.add(new int[] {range.start(), range.end()});
      }
    }
    return merged;
  }

  /** Where blank lines above or below a range go with it, so that no two gaps become one. */
  public static int[] withGap(SourceText source, int[] range) {
    if (range[0] != source.lineStart(range[0])) {
      return range;
    }
    int above = range[0];
    while (above > 0 && source.lineText(source.line(above - 1)).isBlank()) {
      above = source.lineStart(above - 1);
    }
    int below = range[1];
    while (below < source.length() && source.lineText(source.line(below)).isBlank()) {
      below = source.nextLine(below);
    }
    Token next = source.codeTokenFrom(range[1]);
    boolean closes = next != null && source.text().charAt(next.start()) == '}';
    if (above < range[0] && (below > range[1] || closes)) {
      return new int[] {above, range[1]};
    }
    boolean opens =
        above > 0 && source.lineText(source.line(above - 1)).stripTrailing().endsWith("{");
    return opens && below > range[1] ? new int[] {range[0], below} : range;
  }
}
