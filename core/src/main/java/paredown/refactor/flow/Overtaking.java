package paredown.refactor.flow;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.effect.Deed;
import paredown.refactor.effect.Deeds;
import paredown.refactor.flow.Shift.Obstacle;

/**
 * Tells whether working a value out and other code can change places.
 *
 * @param assumptions takes what has to be assumed
 */
record Overtaking(Working working, Assumptions assumptions) {

  /** Why code that runs in between stands in the way. */
  Optional<Obstacle> met(TreePath code) {
    Set<Element> written = Writes.in(working.program(), code);
    for (Element each : written) {
      if (working.looks().variables().contains(each)) {
        return Working.obstacle(
            RefusalKind.VALUE_CHANGES,
            "%s is set in between".formatted(each.getSimpleName()),
            code);
      }
    }
    Deeds its = working.calm().effects().of(code);
    if (working.deeds().kinds().isEmpty() || working.isQuiet() && its.kinds().isEmpty()) {
      return Optional.empty();
    }
    UnitTrees trees = working.trees();
    String minded = "what runs beside it";
    assumptions.addAll(Assumptions.of(working.deeds(), trees, working.expression(), minded));
    assumptions.addAll(Assumptions.of(its, trees, code, minded));
    if (!working.isQuiet()) {
      return turned(code, its);
    }
    if (!working
        .deeds()
        .hasAny(EnumSet.of(Deed.READS, Deed.GOES_THROUGH, Deed.COMPARES, Deed.MAKES_TEXT))) {
      return Optional.empty();
    }
    boolean sets =
        its.has(Deed.SETS) && !Collections.disjoint(its.fields(), working.looks().variables());
    boolean changes = its.has(Deed.SETS) || its.has(Deed.CHANGES);
    if (its.has(Deed.UNKNOWN) || (working.looks().onlyAtVariables() ? sets : changes)) {
      Deed deed =
          its.has(Deed.UNKNOWN) ? Deed.UNKNOWN : its.has(Deed.SETS) ? Deed.SETS : Deed.CHANGES;
      return Working.obstacle(
          RefusalKind.VALUE_CHANGES,
          "what its value looks at could be changed in between",
          its.place(deed).orElse(code));
    }
    return Optional.empty();
  }

  /** What does something keeps its place among all else that shows. */
  private Optional<Obstacle> turned(TreePath code, Deeds its) {
    boolean plain = EnumSet.of(Deed.SETS_LOCAL).containsAll(its.kinds());
    boolean fails = Failure.of(working.program(), working.calm().effects(), code).isPossible();
    Set<Element> sets = Writes.in(working.program(), working.expression());
    boolean touched = !Collections.disjoint(sets, named(code));
    return plain && !fails && !touched
        ? Optional.empty()
        : Working.obstacle(
            RefusalKind.VALUE_CHANGES,
            "working its value out does something, which would change places with this",
            code);
  }

  private Set<Element> named(TreePath code) {
    Set<Element> named = new HashSet<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        named.add(working.program().trees().getElement(getCurrentPath()));
        return null;
      }
    }.scan(code, null);
    return named;
  }
}
