package paredown.refactor.flow;

import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.TypeElement;
import paredown.edit.Assumption;
import paredown.refactor.RefusalKind;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.flow.Shift.Obstacle;
import paredown.refactor.startup.Starts;
import paredown.refactor.startup.StaticStart;

/**
 * The classes that working out a value starts, where that happens at another time.
 *
 * @param assumptions takes what has to be assumed
 */
record Starting(Working working, Assumptions assumptions) {
  /**
   * Why it matters when the classes that it starts are started; that it does not is assumed where
   * they are not loud.
   */
  Optional<Obstacle> shown() {
    for (Map.Entry<TypeElement, StaticStart.Sound> each :
        Starts.in(working.program(), working.expression()).entrySet()) {
      String name = each.getKey().getSimpleName().toString();
      if (each.getValue() == StaticStart.Sound.LOUD) {
        return Working.obstacle(
            RefusalKind.STARTED_EARLIER,
            "working its value out starts %s, and that shows".formatted(name),
            working.expression());
      }
      assumptions.add(
          Assumption.Kind.START,
          "it shows nowhere when the static parts of %s are initialised".formatted(name),
          working.trees().place(working.expression().getLeaf()));
    }
    return Optional.empty();
  }

  /** Why it matters that code between starts a class that shows it. */
  Optional<Obstacle> between(Between between) {
    boolean shows =
        working.deeds().hasAny(Working.SEEN)
            || Starts.in(working.program(), working.expression())
                .containsValue(StaticStart.Sound.LOUD);
    for (TreePath code : shows ? between.code() : List.<TreePath>of()) {
      if (Starts.in(working.program(), code).containsValue(StaticStart.Sound.LOUD)) {
        return Working.obstacle(
            RefusalKind.STARTED_EARLIER,
            "a class that shows when it starts is started between",
            code);
      }
    }
    return Optional.empty();
  }
}
