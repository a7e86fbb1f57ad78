package paredown.facts;

import com.sun.source.tree.Tree;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Set;

/** The statements of a body that are being read, and what each of them leaves by a jump. */
final class OpenSpans {
  private final UnitPlaces places;
  private final List<OpenSpan> spans = new ArrayList<>();
  private final Deque<OpenSpan> open = new ArrayDeque<>();

  OpenSpans(UnitPlaces places) {
    this.places = places;
  }

  /** A statement that is being read. */
  private static final class OpenSpan {
    private final Tree tree;
    private final int depth;
    private final Tree around;
    private boolean jumps;

    OpenSpan(Tree tree, int depth, Tree around) {
      this.tree = tree;
      this.depth = depth;
      this.around = around;
    }

    boolean isLoopOrSwitch() {
      return switch (tree.getKind()) {
        case FOR_LOOP, ENHANCED_FOR_LOOP, WHILE_LOOP, DO_WHILE_LOOP, SWITCH -> true;
        default -> false;
      };
    }
  }

  /**
   * All that were read, in the order in which they begin.
   *
   * @param own the names of variables and fields
   */
  List<Span> closed(Set<String> own) {
    return spans.stream().map(span -> closed(span, own)).toList();
  }

  private Span closed(OpenSpan span, Set<String> own) {
    int start = places.start(span.tree);
    int end = Math.max(start, places.end(span.tree));
    int line = places.source().line(start);
    String before = line > 1 ? places.source().lineText(line - 1).strip() : "";
    String comment = before.startsWith("//") ? before.substring(2).strip() : "";
    return new Span(
        start,
        end,
        line,
        places.source().line(Math.max(start, end - 1)),
        span.depth,
        places.start(span.around),
        span.jumps,
        comment,
        before.isEmpty() || before.startsWith("//") || before.endsWith("*/"),
        Wording.of(places.source(), start, end, own));
  }

  /**
   * Reads a statement.
   *
   * @param around the block, the case or the statement that it stands in
   */
  void within(Tree statement, Tree around, Runnable read) {
    OpenSpan span = new OpenSpan(statement, open.size(), around);
    spans.add(span);
    open.push(span);
    read.run();
    open.pop();
  }

  /** Notes that a return leaves every statement around it. */
  void leaveAll() {
    open.forEach(span -> span.jumps = true);
  }

  /** Notes that a jump leaves the statements around it, up to the loop that it is meant for. */
  void leave(boolean labelled) {
    for (OpenSpan span : open) {
      if (span.isLoopOrSwitch() && !labelled) {
        break;
      }
      span.jumps = true;
    }
  }

  /** What stands in a lambda or a class does not leave the statement around it. */
  void apart(Runnable visit) {
    List<OpenSpan> around = new ArrayList<>(open);
    List<Boolean> jumped = around.stream().map(span -> span.jumps).toList();
    visit.run();
    for (int i = 0; i < around.size(); i++) {
      around.get(i).jumps = jumped.get(i);
    }
  }
}
