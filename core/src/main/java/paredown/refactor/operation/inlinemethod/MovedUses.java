package paredown.refactor.operation.inlinemethod;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import paredown.edit.Replacement;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.code.UnitTrees;

/**
 * The uses in the code of a method, which go with it to the first place that it moves to, and are
 * repeated in others.
 *
 * @param trees of the file that the method stands in
 * @param first whether the code moves to the place
 */
record MovedUses(UnitTrees trees, boolean first) {

  Use.Place at(int offset, UseKind kind) {
    return new Use.Place(trees.path(), offset, kind);
  }

  /** The name that a written one stands for; null where it only repeats one. */
  Use.Place standsFor(int offset) {
    return first ? at(offset, UseKind.NAME) : null;
  }

  boolean isThere(Use.Place place) {
    return trees.program().uses().at(place.file(), place.offset(), place.kind()).isPresent();
  }

  /** What is said otherwise where the method is called. */
  List<Replacement.Dropped> dropped(Use.Place... places) {
    List<Replacement.Dropped> dropped = new ArrayList<>();
    for (Use.Place place : new LinkedHashSet<>(List.of(places))) {
      if (first && isThere(place)) {
        dropped.add(new Replacement.Dropped(place, "it is said otherwise where it is called"));
      }
    }
    return dropped;
  }
}
