package paredown.smell.detector;

import java.util.HashSet;
import java.util.List;
import paredown.facts.Span;

/**
 * A run is some statements of a row that follow each other.
 *
 * @param first its first statement, counted from 0
 * @param last its last one
 */
record Run(Row row, int first, int last) {
  private static final int RUN_WORDS = 12;
  private static final int BODY_WORDS = 9;

  /** A list of so many statements of each kind says the same over and over. */
  private static final int KIND = 4;

  private static final int RUN_NAMES = 4;
  private static final int RUN_STATEMENTS = 3;

  Span begin() {
    return row.spans().get(first);
  }

  Span end() {
    return row.spans().get(last);
  }

  boolean holds(Run other) {
    return row.owned() == other.row.owned()
        && begin().start() <= other.begin().start()
        && other.end().end() <= end().end();
  }

  int words() {
    return row.spans().subList(first, last + 1).stream()
        .mapToInt(span -> span.wording().words())
        .sum();
  }

  List<Long> wording() {
    return row.spans().subList(first, last + 1).stream()
        .map(span -> span.wording().hash())
        .toList();
  }

  /** Whether it is all that a method of one statement does. */
  boolean isBody() {
    return row.spans().size() == 1
        && begin().depth() == 0
        && row.owned().method().body().statements() == 1
        && words() >= BODY_WORDS;
  }

  /** Whether it is a list; within one method it says a thing or two over and over. */
  boolean isOneKind(boolean within) {
    int kinds = new HashSet<>(wording()).size();
    return last > first && (kinds == 1 || within && kinds * KIND <= last - first + 1);
  }

  boolean isWorthIt(boolean within) {
    List<Span> all = row.spans().subList(first, last + 1);
    int names = all.stream().mapToInt(span -> span.wording().names()).sum();
    int statements = row.statements().subList(first, last + 1).stream().mapToInt(i -> i).sum();
    return (words() >= RUN_WORDS && statements >= RUN_STATEMENTS || isBody())
        && names >= RUN_NAMES
        && !isOneKind(within);
  }
}
