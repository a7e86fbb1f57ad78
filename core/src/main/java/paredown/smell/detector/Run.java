package paredown.smell.detector;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import paredown.facts.Span;
import paredown.facts.TypeFact;

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

  /** Of so many words a run says enough, though it names few members and types. */
  private static final int LONG = 25;

  private static final int FEW_NAMES = 2;

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

  /**
   * Whether two runs are of two methods of one signature, whose classes have the same class of the
   * sources above them.
   */
  boolean isKin(Run other, Set<String> types) {
    TypeFact type = row.owned().type();
    return type != other.row.owned().type()
        && types.contains(type.superclass())
        && type.superclass().equals(other.row.owned().type().superclass())
        && row.owned().method().signature().equals(other.row.owned().method().signature());
  }

  /**
   * Whether it is long enough to be said once.
   *
   * @param within whether it stands twice in one row
   */
  boolean isLongEnough(boolean within) {
    int statements = row.statements().subList(first, last + 1).stream().mapToInt(i -> i).sum();
    return (words() >= RUN_WORDS && statements >= RUN_STATEMENTS || isBody()) && !isOneKind(within);
  }

  /** Whether it says enough of members and types for two places to mean the same by it. */
  boolean isTelling() {
    return names() >= RUN_NAMES || words() >= LONG && names() >= FEW_NAMES;
  }

  /** Whether it is all that a method does. */
  boolean isAll() {
    return begin().depth() == 0 && first == 0 && last == row.spans().size() - 1;
  }

  /** Whether it does so for two methods of one signature that siblings have. */
  boolean isTellingOfSiblings() {
    return names() >= FEW_NAMES;
  }

  private int names() {
    return row.spans().subList(first, last + 1).stream()
        .mapToInt(span -> span.wording().names())
        .sum();
  }
}
