package paredown.history;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.eclipse.jgit.diff.DiffAlgorithm;
import org.eclipse.jgit.diff.RawText;
import org.eclipse.jgit.diff.RawTextComparator;

/**
 * Lines of a text that others take the place of.
 *
 * @param first counted from 1; where only lines come in, the line in front of them
 * @param last the last of them; less than {@code first} where only lines come in
 */
public record ChangedLines(int first, int last) {

  /** The lines that are otherwise in another text, as version control tells them. */
  public static List<ChangedLines> between(String before, String after) {
    return DiffAlgorithm.getAlgorithm(DiffAlgorithm.SupportedAlgorithm.HISTOGRAM)
        .diff(RawTextComparator.DEFAULT, raw(before), raw(after))
        .stream()
        .map(
            edit ->
                edit.getLengthA() > 0
                    ? new ChangedLines(edit.getBeginA() + 1, edit.getEndA())
                    : new ChangedLines(edit.getBeginA(), edit.getBeginA() - 1))
        .toList();
  }

  private static RawText raw(String text) {
    return new RawText(text.getBytes(StandardCharsets.UTF_8));
  }

  /** Whether some of these, or what comes in behind them, are among others. */
  public boolean touches(int from, int to) {
    return last < first ? from <= first && first < to : from <= last && first <= to;
  }
}
