package paredown.refactor.flow;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Writes;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.nulls.NullDoubt;
import paredown.refactor.startup.Starts;
import paredown.refactor.startup.StaticStart;

/**
 * A shift lets an expression run at another time of its body: later, where the value of its
 * variable is used, or earlier, where a variable is given its value.
 */
public final class Shift {
  private final Program program;
  private final CalmCalls calm;
  private final TreePath expression;
  private final Working working;
  private final Failure failure;
  private final Assumptions assumptions;

  /** Where it runs then; behind all else where it runs later than now. */
  private final int from;

  /** Whether it has run before without failing. */
  private boolean certain;

  /**
   * A shift of an expression.
   *
   * @param assumptions takes what has to be assumed
   */
  public Shift(Program program, CalmCalls calm, TreePath expression, Assumptions assumptions) {
    this(program, calm, expression, program.trees().getTypeMirror(expression), assumptions);
  }

  /**
   * A shift of an expression to a place in front of it.
   *
   * @param from where that place begins in the file
   */
  public static Shift earlier(
      Program program, CalmCalls calm, TreePath expression, int from, Assumptions assumptions) {
    TypeMirror held = program.trees().getTypeMirror(expression);
    return new Shift(program, calm, expression, held, from, assumptions);
  }

  /**
   * A shift of an expression whose value a variable holds.
   *
   * @param held the type of the variable
   */
  public Shift(
      Program program,
      CalmCalls calm,
      TreePath expression,
      TypeMirror held,
      Assumptions assumptions) {
    this(program, calm, expression, held, Integer.MAX_VALUE, assumptions);
  }

  private Shift(
      Program program,
      CalmCalls calm,
      TreePath expression,
      TypeMirror held,
      int from,
      Assumptions assumptions) {
    this.program = program;
    this.from = from;
    this.calm = calm;
    this.expression = expression;
    this.working = Working.of(program, calm, expression, held);
    Failure own = Failure.of(program, calm.effects(), expression, from);
    boolean unboxes =
        Working.isPrimitive(held)
            && !Working.isPrimitive(program.trees().getTypeMirror(expression));
    this.failure = unboxes ? own.asking(expression) : own;
    this.assumptions = assumptions;
  }

  /**
   * Why an expression cannot run at another time.
   *
   * @param why a clause about "its value"
   * @param at the code that it rests on
   */
  public record Obstacle(RefusalKind kind, String why, TreePath at) {}

  /** Whether it does nothing that shows, so that it need not run. */
  public boolean isQuiet() {
    return working.isQuiet();
  }

  /** Whether leaving it out changes nothing: it does nothing and cannot fail. */
  public boolean isOmissible() {
    return isQuiet()
        && !failure.otherwise()
        && areThere().isEmpty()
        && new Starting(working, assumptions).shown().isEmpty();
  }

  /** Whether it gives the same before and after another expression, whatever that does. */
  public boolean isUntouchedBy(TreePath other) {
    return working.deeds().kinds().isEmpty()
        && !failure.isPossible()
        && Collections.disjoint(working.looks().variables(), Writes.in(program, other));
  }

  /** Whether code does nothing, cannot fail, and looks at nothing that could change. */
  public static boolean isInert(Program program, CalmCalls calm, TreePath code) {
    return calm.effects().of(code).kinds().isEmpty()
        && !Failure.of(program, calm.effects(), code).isPossible()
        && !Starts.in(program, code).containsValue(StaticStart.Sound.LOUD);
  }

  /** Whether it calls something. */
  public boolean isCalling() {
    boolean[] calls = {false};
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitMethodInvocation(MethodInvocationTree tree, Void unused) {
        calls[0] = true;
        return null;
      }
    }.scan(expression, null);
    return calls[0];
  }

  /** Why it cannot run more than once, or less; empty where it can. */
  public Optional<Obstacle> repeated() {
    return new Again(working).repeated();
  }

  /**
   * Why it cannot run once for each of several places; empty where it can.
   *
   * @param places where its value stands then
   */
  public Optional<Obstacle> repeated(List<TreePath> places) {
    return new Again(working).repeated(places);
  }

  /**
   * Why it cannot run behind some code instead of before it, or the other way round. Several places
   * are asked for in the order in which they stand: what has not failed at one fails at none
   * behind.
   */
  public Optional<Obstacle> over(Between between) {
    if (between.later()) {
      Optional<Obstacle> met = later();
      if (met.isPresent()) {
        return met;
      }
    }
    if (between.repeats() || between.later()) {
      Optional<Obstacle> met = repeated();
      if (met.isPresent()) {
        return met;
      }
    }
    TreePath jump = jump(between);
    boolean skipped = between.perhaps() || jump != null;
    if (skipped && !isQuiet()) {
      return Working.obstacle(
          RefusalKind.RUNS_OFTEN,
          "working its value out does something, and would not be done each time",
          jump != null ? jump : expression);
    }
    for (TreePath code : between.code()) {
      Optional<Obstacle> met = new Overtaking(working, assumptions).met(code);
      if (met.isPresent()) {
        return met;
      }
    }
    Optional<Obstacle> starts = new Starting(working, assumptions).between(between);
    if (starts.isPresent()) {
      return starts;
    }
    boolean shown =
        skipped
            || between.later()
            || between.code().stream()
                .anyMatch(code -> calm.effects().of(code).hasAny(Working.SEEN));
    Optional<Obstacle> starting =
        shown ? new Starting(working, assumptions).shown() : Optional.empty();
    if (starting.isPresent()) {
      return starting;
    }
    return certain ? Optional.empty() : failing(between, skipped || between.later());
  }

  private TreePath jump(Between between) {
    return between.code().stream()
        .flatMap(code -> Jumps.outOf(code).stream())
        .findFirst()
        .orElse(null);
  }

  private Optional<Obstacle> later() {
    Element assigned =
        working.looks().variables().stream()
            .filter(each -> Symbols.isLocal(each) && !isEffectivelyFinal(each))
            .findFirst()
            .orElse(null);
    if (assigned != null) {
      return Working.obstacle(
          RefusalKind.VALUE_CHANGES,
          "%s changes, and a lambda or class could see it".formatted(assigned.getSimpleName()),
          expression);
    }
    return working.deeds().kinds().isEmpty()
        ? Optional.empty()
        : Working.obstacle(
            RefusalKind.VALUE_CHANGES,
            "a lambda or class could ask for it when what it looks at has changed",
            expression);
  }

  private boolean isEffectivelyFinal(Element local) {
    TreePath body = expression;
    while (!(body.getParentPath().getLeaf() instanceof ClassTree)) {
      body = body.getParentPath();
    }
    return !Writes.in(program, body).contains(local);
  }

  /** Why it matters when it fails. */
  private Optional<Obstacle> failing(Between between, boolean skipped) {
    if (!failure.isPossible()) {
      return Optional.empty();
    }
    TreePath seen =
        between.code().stream()
            .filter(code -> calm.effects().of(code).hasAny(Working.SEEN))
            .findFirst()
            .orElse(skipped || between.guarded() ? expression : null);
    if (failure.otherwise() && seen != null) {
      return Working.obstacle(
          RefusalKind.FAILS_LATER,
          "working its value out can fail, and it would show that it fails at another time",
          seen);
    }
    if (seen == null) {
      certain = true;
      boolean both =
          between.code().stream()
              .anyMatch(code -> Failure.of(program, calm.effects(), code).isPossible());
      if (both && failure.otherwise()) {
        assume(Assumption.Kind.FAILURE, "of two things that fail, nobody minds which comes first");
      }
      return Optional.empty();
    }
    return areThere();
  }

  /**
   * Why it matters that something may not be there; that it is, is assumed where nobody says no.
   */
  private Optional<Obstacle> areThere() {
    for (TreePath asked : failure.asked()) {
      if (NullDoubt.isStated(program, asked, from)) {
        return Working.obstacle(
            RefusalKind.FAILS_LATER,
            "%s could be null, and it would show that it fails at another time"
                .formatted(asked.getLeaf()),
            asked);
      }
    }
    failure
        .asked()
        .forEach(
            asked ->
                assume(Assumption.Kind.NULL, "%s is never null here".formatted(asked.getLeaf())));
    return Optional.empty();
  }

  private void assume(Assumption.Kind kind, String sentence) {
    assumptions.add(kind, sentence, working.trees().place(expression.getLeaf()));
  }
}
