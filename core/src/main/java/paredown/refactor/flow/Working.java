package paredown.refactor.flow;

import com.sun.source.util.TreePath;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.type.TypeMirror;
import paredown.program.Program;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.effect.Deed;
import paredown.refactor.effect.Deeds;
import paredown.refactor.flow.Shift.Obstacle;

/**
 * What working out the value of an expression does, and what it looks at.
 *
 * @param held the type of the variable that holds the value
 */
record Working(
    Program program,
    CalmCalls calm,
    TreePath expression,
    TypeMirror held,
    Deeds deeds,
    Looks looks) {
  /** What others can notice while it is worked out. */
  static final Set<Deed> SEEN = EnumSet.of(Deed.SETS, Deed.CHANGES, Deed.OUTSIDE, Deed.UNKNOWN);

  private static final Set<Deed> ACTING =
      EnumSet.of(Deed.SETS, Deed.SETS_LOCAL, Deed.CHANGES, Deed.OUTSIDE, Deed.UNKNOWN);

  static Working of(Program program, CalmCalls calm, TreePath expression, TypeMirror held) {
    return new Working(
        program,
        calm,
        expression,
        held,
        calm.effects().of(expression),
        Looks.of(program, calm, expression));
  }

  /** Whether it does nothing that shows, so that it need not run. */
  boolean isQuiet() {
    return !deeds.hasAny(ACTING) && !looks.atWatched();
  }

  /** Where it does something first. */
  TreePath actingPlace() {
    return ACTING.stream()
        .flatMap(deed -> deeds.place(deed).stream())
        .findFirst()
        .orElse(expression);
  }

  UnitTrees trees() {
    return new UnitTrees(program, program.unit(expression).orElseThrow());
  }

  static boolean isPrimitive(TypeMirror type) {
    return type != null && type.getKind().isPrimitive();
  }

  static Optional<Obstacle> obstacle(RefusalKind kind, String why, TreePath at) {
    return Optional.of(new Obstacle(kind, why, at));
  }
}
