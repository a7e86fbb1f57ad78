package paredown.refactor.flow;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Assumption;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.effect.Deed;
import paredown.refactor.effect.Deeds;
import paredown.refactor.nulls.NullDoubt;
import paredown.refactor.startup.Starts;
import paredown.refactor.startup.StaticStart;

/**
 * A shift lets an expression run at another time of its body: later, where the value of its
 * variable is used, or earlier, where a variable is given its value.
 */
public final class Shift {
  private static final Set<Deed> ACTING =
      EnumSet.of(Deed.SETS, Deed.SETS_LOCAL, Deed.CHANGES, Deed.OUTSIDE, Deed.UNKNOWN);

  private static final Set<Deed> SEEN =
      EnumSet.of(Deed.SETS, Deed.CHANGES, Deed.OUTSIDE, Deed.UNKNOWN);

  private final Program program;
  private final CalmCalls calm;
  private final TreePath expression;
  private final Deeds deeds;
  private final Failure failure;
  private final Assumptions assumptions;

  private final Looks looks;
  private final TypeMirror held;

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
    this.held = held;
    this.calm = calm;
    this.expression = expression;
    this.deeds = calm.effects().of(expression);
    Failure own = Failure.of(program, calm.effects(), expression, from);
    boolean unboxes = isPrimitive(held) && !isPrimitive(program.trees().getTypeMirror(expression));
    this.failure = unboxes ? own.asking(expression) : own;
    this.assumptions = assumptions;
    this.looks = Looks.of(program, calm, expression);
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
    return !deeds.hasAny(ACTING) && !looks.atWatched();
  }

  /** Whether leaving it out changes nothing: it does nothing and cannot fail. */
  public boolean isOmissible() {
    return isQuiet() && !failure.otherwise() && areThere().isEmpty() && started().isEmpty();
  }

  /**
   * Why it matters when the classes that it starts are started; that it does not is assumed where
   * they are not loud.
   */
  private Optional<Obstacle> started() {
    for (Map.Entry<TypeElement, StaticStart.Sound> each :
        Starts.in(program, expression).entrySet()) {
      String name = each.getKey().getSimpleName().toString();
      if (each.getValue() == StaticStart.Sound.LOUD) {
        return obstacle(
            RefusalKind.STARTED_EARLIER,
            "working its value out starts %s, and that shows".formatted(name),
            expression);
      }
      assume(
          Assumption.Kind.START,
          "it shows nowhere when the static parts of %s are initialised".formatted(name));
    }
    return Optional.empty();
  }

  /** Whether it gives the same before and after another expression, whatever that does. */
  public boolean isUntouchedBy(TreePath other) {
    return deeds.kinds().isEmpty()
        && !failure.isPossible()
        && Collections.disjoint(looks.variables(), Writes.in(program, other));
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
    if (!isQuiet()) {
      return obstacle(
          RefusalKind.RUNS_OFTEN, "working its value out does something each time", actingPlace());
    }
    return looks.makes() || looks.couldMake() && !isValue()
        ? obstacle(
            RefusalKind.RUNS_OFTEN, "its value could be another object each time", expression)
        : Optional.empty();
  }

  /**
   * Why it cannot run once for each of several places; empty where it can.
   *
   * @param places where its value stands then
   */
  public Optional<Obstacle> repeated(List<TreePath> places) {
    boolean anew = looks.makes() || looks.couldMake() || boxes() || adds();
    return repeated()
        .or(
            () ->
                SameObject.mattersAt(program, anew && !isPrimitive(held) ? places : List.of())
                    .flatMap(
                        place ->
                            obstacle(
                                RefusalKind.RUNS_OFTEN,
                                "its value could be another object each time, and one is compared",
                                place)));
  }

  private boolean boxes() {
    return !isPrimitive(held) && isPrimitive(program.trees().getTypeMirror(expression));
  }

  private static boolean isPrimitive(TypeMirror type) {
    return type != null && type.getKind().isPrimitive();
  }

  /** Whether it makes a text of others. */
  private boolean adds() {
    ExpressionTree bare = (ExpressionTree) expression.getLeaf();
    while (bare instanceof ParenthesizedTree inner) {
      bare = inner.getExpression();
    }
    return bare instanceof BinaryTree;
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
      return obstacle(
          RefusalKind.RUNS_OFTEN,
          "working its value out does something, and would not be done each time",
          jump != null ? jump : expression);
    }
    for (TreePath code : between.code()) {
      Optional<Obstacle> met = changed(code);
      if (met.isPresent()) {
        return met;
      }
    }
    Optional<Obstacle> starts = startedBetween(between);
    if (starts.isPresent()) {
      return starts;
    }
    boolean shown =
        skipped
            || between.later()
            || between.code().stream().anyMatch(code -> calm.effects().of(code).hasAny(SEEN));
    Optional<Obstacle> starting = shown ? started() : Optional.empty();
    if (starting.isPresent()) {
      return starting;
    }
    return certain ? Optional.empty() : failing(between, skipped || between.later());
  }

  /** Why it matters that code between starts a class that shows it. */
  private Optional<Obstacle> startedBetween(Between between) {
    boolean shows =
        deeds.hasAny(SEEN) || Starts.in(program, expression).containsValue(StaticStart.Sound.LOUD);
    for (TreePath code : shows ? between.code() : List.<TreePath>of()) {
      if (Starts.in(program, code).containsValue(StaticStart.Sound.LOUD)) {
        return obstacle(
            RefusalKind.STARTED_EARLIER,
            "a class that shows when it starts is started between",
            code);
      }
    }
    return Optional.empty();
  }

  private TreePath jump(Between between) {
    return between.code().stream()
        .flatMap(code -> Jumps.outOf(code).stream())
        .findFirst()
        .orElse(null);
  }

  private Optional<Obstacle> later() {
    Element assigned =
        looks.variables().stream()
            .filter(each -> Symbols.isLocal(each) && !isEffectivelyFinal(each))
            .findFirst()
            .orElse(null);
    if (assigned != null) {
      return obstacle(
          RefusalKind.VALUE_CHANGES,
          "%s changes, and a lambda or class could see it".formatted(assigned.getSimpleName()),
          expression);
    }
    return deeds.kinds().isEmpty()
        ? Optional.empty()
        : obstacle(
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

  /** Why code that runs in between stands in the way. */
  private Optional<Obstacle> changed(TreePath code) {
    Set<Element> written = Writes.in(program, code);
    for (Element each : written) {
      if (looks.variables().contains(each)) {
        return obstacle(
            RefusalKind.VALUE_CHANGES,
            "%s is set in between".formatted(each.getSimpleName()),
            code);
      }
    }
    Deeds its = calm.effects().of(code);
    if (deeds.kinds().isEmpty() || isQuiet() && its.kinds().isEmpty()) {
      return Optional.empty();
    }
    UnitTrees trees = trees();
    String minded = "what runs beside it";
    assumptions.addAll(Assumptions.of(deeds, trees, expression, minded));
    assumptions.addAll(Assumptions.of(its, trees, code, minded));
    if (!isQuiet()) {
      return turned(code, its);
    }
    if (!deeds.hasAny(EnumSet.of(Deed.READS, Deed.GOES_THROUGH, Deed.COMPARES, Deed.MAKES_TEXT))) {
      return Optional.empty();
    }
    boolean sets = its.has(Deed.SETS) && !Collections.disjoint(its.fields(), looks.variables());
    boolean changes = its.has(Deed.SETS) || its.has(Deed.CHANGES);
    if (its.has(Deed.UNKNOWN) || (looks.onlyAtVariables() ? sets : changes)) {
      Deed deed =
          its.has(Deed.UNKNOWN) ? Deed.UNKNOWN : its.has(Deed.SETS) ? Deed.SETS : Deed.CHANGES;
      return obstacle(
          RefusalKind.VALUE_CHANGES,
          "what its value looks at could be changed in between",
          its.place(deed).orElse(code));
    }
    return Optional.empty();
  }

  /** What does something keeps its place among all else that shows. */
  private Optional<Obstacle> turned(TreePath code, Deeds its) {
    boolean plain = EnumSet.of(Deed.SETS_LOCAL).containsAll(its.kinds());
    boolean fails = Failure.of(program, calm.effects(), code).isPossible();
    Set<Element> sets = Writes.in(program, expression);
    boolean touched = !Collections.disjoint(sets, named(code));
    return plain && !fails && !touched
        ? Optional.empty()
        : obstacle(
            RefusalKind.VALUE_CHANGES,
            "working its value out does something, which would change places with this",
            code);
  }

  private Set<Element> named(TreePath code) {
    Set<Element> named = new HashSet<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        named.add(program.trees().getElement(getCurrentPath()));
        return null;
      }
    }.scan(code, null);
    return named;
  }

  /** Why it matters when it fails. */
  private Optional<Obstacle> failing(Between between, boolean skipped) {
    if (!failure.isPossible()) {
      return Optional.empty();
    }
    TreePath seen =
        between.code().stream()
            .filter(code -> calm.effects().of(code).hasAny(SEEN))
            .findFirst()
            .orElse(skipped || between.guarded() ? expression : null);
    if (failure.otherwise() && seen != null) {
      return obstacle(
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
        return obstacle(
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
    assumptions.add(kind, sentence, trees().place(expression.getLeaf()));
  }

  private UnitTrees trees() {
    return new UnitTrees(program, program.unit(expression).orElseThrow());
  }

  private TreePath actingPlace() {
    return ACTING.stream()
        .flatMap(deed -> deeds.place(deed).stream())
        .findFirst()
        .orElse(expression);
  }

  private static Optional<Obstacle> obstacle(RefusalKind kind, String why, TreePath at) {
    return Optional.of(new Obstacle(kind, why, at));
  }

  /** Whether equal values of its type cannot be told apart by those who mean well. */
  private boolean isValue() {
    TypeMirror type = program.trees().getTypeMirror(expression);
    if (type == null || type.getKind().isPrimitive()) {
      return type != null;
    }
    String name = type.toString();
    boolean boxed =
        program.types().asElement(type) instanceof TypeElement element
            && (element.getKind() == ElementKind.ENUM || isBox(element));
    return name.equals("java.lang.String") || boxed;
  }

  private static boolean isBox(TypeElement type) {
    return Set.of("Integer", "Long", "Short", "Byte", "Character", "Boolean", "Double", "Float")
            .contains(type.getSimpleName().toString())
        && type.getQualifiedName().toString().startsWith("java.lang.");
  }
}
