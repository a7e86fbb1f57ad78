package paredown.gate.reach;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.history.ChangedLines;
import paredown.text.SourceText;
import paredown.text.TextHash;

/**
 * How far the tests reach what a change touches.
 *
 * @param tests the simple names of the classes of tests that reach some of it
 * @param unreached the methods of it that no test reaches, as {@code Sailing#take(int)}
 * @param since the files that have changed since the tests were recorded, so that nothing is known
 *     of them
 */
public record ReachOfChange(Set<String> tests, List<String> unreached, List<String> since) {

  public ReachOfChange {
    tests = new TreeSet<>(tests);
    unreached = List.copyOf(unreached);
    since = List.copyOf(since);
  }

  /** The reach of the tests for a change; empty where it touches no code that they could run. */
  public static Optional<ReachOfChange> of(Reach reach, Change change) {
    Set<String> tests = new TreeSet<>();
    Set<String> unreached = new TreeSet<>();
    List<String> since = new ArrayList<>();
    for (ChangedFile file : change.files()) {
      SourceText before = file.before().orElse(null);
      Reach.ReachedFile known = before == null ? null : reach.files().get(before.path());
      if (known == null) {
        continue;
      }
      if (known.content() != TextHash.of(before.text())) {
        since.add(before.path());
        continue;
      }
      for (Reach.Reached method : touched(known, before, file.after())) {
        tests.addAll(method.tests());
        if (method.tests().isEmpty()) {
          unreached.add(method.name());
        }
      }
    }
    boolean nothing = tests.isEmpty() && unreached.isEmpty() && since.isEmpty();
    return nothing
        ? Optional.empty()
        : Optional.of(new ReachOfChange(tests, List.copyOf(unreached), since));
  }

  /** The methods of which a line is gone, or which have another line. */
  private static List<Reach.Reached> touched(
      Reach.ReachedFile known, SourceText before, SourceText after) {
    List<ChangedLines> changed = ChangedLines.between(before.text(), after.text());
    return known.methods().stream()
        .filter(
            method ->
                changed.stream()
                    .anyMatch(each -> each.touches(head(before, method), method.last())))
        .toList();
  }

  /** The first line of a method's head, which stands above its first code without a gap. */
  private static int head(SourceText text, Reach.Reached method) {
    int line = method.first();
    while (line > 1 && isHead(text.lineText(line - 1).strip())) {
      line--;
    }
    return line;
  }

  private static boolean isHead(String line) {
    return !line.isEmpty() && !line.endsWith(";") && !line.endsWith("}") && !line.endsWith("*/");
  }
}
