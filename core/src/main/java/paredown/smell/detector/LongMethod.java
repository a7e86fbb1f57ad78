package paredown.smell.detector;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import paredown.facts.MethodFact;
import paredown.facts.Span;
import paredown.smell.Detector;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;
import paredown.smell.Limits;
import paredown.smell.Owned;
import paredown.smell.Smell;
import paredown.text.Counted;

/**
 * A long method runs over more than a screen. Its stages are the paragraphs of its body: a blank
 * line or a comment begins one, and a stage is named by its comment, or by the variables that it
 * sets for later.
 *
 * <p>Fowler, "Refactoring", 1999, chapter 3. Bodies that hardly decide are tables, not methods. A
 * method of half that length is long where comments name three stages of it; one of two thirds,
 * where it does a dozen things in a row, or four in some lines each, in more than ten ways.
 */
public final class LongMethod implements Detector {
  private static final int DECISIONS = 5;

  /** McCabe, "A complexity measure", 1976: a method of more ways than this is to be taken apart. */
  private static final int DENSE = 10;

  private static final int STEPS = 12;
  private static final int BLOCKS = 4;
  private static final int BLOCK_LINES = 4;
  private static final int STAGES = 3;

  @Override
  public Stream<Finding> find(Grounds grounds) {
    return grounds
        .methods()
        .filter(owned -> isLong(owned.method(), grounds.limits()))
        .filter(owned -> owned.method().branches() > DECISIONS)
        .map(owned -> finding(owned, grounds.limits()));
  }

  /** Whether a method does not fit a screen, or half of it is in stages that have names already. */
  private static boolean isLong(MethodFact method, Limits limits) {
    int lines = method.range().lines();
    long named =
        method.body().paragraphs().stream()
            .filter(stage -> !stage.get(0).comment().isEmpty())
            .count();
    return lines > limits.longLines()
        || isDense(method, limits)
        || lines * 2 > limits.longLines() && named >= STAGES;
  }

  /**
   * Whether a method of two thirds of a screen does many things one after the other, in more ways
   * than anybody follows.
   */
  private static boolean isDense(MethodFact method, Limits limits) {
    return method.range().lines() > dense(limits)
        && method.branches() > DENSE
        && (steps(method) >= STEPS || blocks(method) >= BLOCKS);
  }

  /** How many loops, branches and the like stand one after the other, each of some lines. */
  private static long blocks(MethodFact method) {
    return inARow(method).filter(span -> span.lines() >= BLOCK_LINES).count();
  }

  private static int steps(MethodFact method) {
    return (int) inARow(method).count();
  }

  /** The statements that stand one after the other, but for those that only leave early. */
  private static Stream<Span> inARow(MethodFact method) {
    return method.body().paragraphs().stream().flatMap(List::stream).filter(span -> !span.jumps());
  }

  private static int dense(Limits limits) {
    return limits.longLines() * 2 / 3;
  }

  private static Finding finding(Owned owned, Limits limits) {
    MethodFact method = owned.method();
    List<Evidence.Row> rows = new ArrayList<>();
    rows.add(Evidence.Row.at(method.range(), method.signature(), List.of()));
    for (List<Span> stage : method.body().paragraphs()) {
      String name = name(method, stage);
      rows.add(
          new Evidence.Row(
              method.range().file(),
              stage.get(0).firstLine(),
              "",
              name.isEmpty() ? List.of() : List.of(name)));
    }
    int stages = rows.size() - 1;
    List<Evidence.Figure> figures =
        List.of(
            new Evidence.Figure(
                "lines",
                method.range().lines(),
                limits.longLines(),
                isDense(method, limits) && method.range().lines() <= limits.longLines()
                    ? "%d lines; more than %d are too many for so many ways"
                        .formatted(method.range().lines(), dense(limits))
                    : "%d lines; more than %d do not fit a screen"
                        .formatted(method.range().lines(), limits.longLines())),
            new Evidence.Figure(
                "branches", method.branches(), -1, method.branches() + " ways through it"));
    return new Finding(
        Smell.LONG_METHOD,
        Form.METHOD,
        weight(
            method.range().lines(),
            method.branches(),
            isDense(method, limits) ? dense(limits) : limits.longLines()),
        owned.type().name(),
        List.of(method.signature()),
        List.of(method.signature()),
        method.range(),
        "%s runs over %d lines, %s"
            .formatted(
                method.name(),
                method.range().lines(),
                stages > 1
                    ? "in %d stages".formatted(stages)
                    : Counted.of(steps(method), "statement", "statements") + " in a row"),
        "%s of %s runs over %d lines."
            .formatted(method.signature(), owned.owner(), method.range().lines()),
        Evidence.of(figures, "Its stages begin here:", rows));
  }

  private static String name(MethodFact method, List<Span> stage) {
    String comment = stage.get(0).comment();
    if (!comment.isEmpty()) {
      return comment;
    }
    Set<String> set = method.body().left(Span.joined(stage));
    return set.isEmpty() ? "" : "sets " + String.join(", ", set);
  }

  /**
   * 15; up to 30 more for lines beyond the limit, and 15 for decisions.
   *
   * @param limit a screen, or two thirds of one where a method is dense
   */
  static int weight(int lines, int branches, int limit) {
    double tall = 30 * (1 - (double) limit / lines);
    return (int) Math.round(15 + Math.max(0, tall) + 15 * (1 - 1.0 / Math.max(1, branches)));
  }
}
