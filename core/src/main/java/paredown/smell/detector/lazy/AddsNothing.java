package paredown.smell.detector.lazy;

import java.util.List;
import java.util.Optional;
import paredown.facts.MethodFact;
import paredown.facts.TypeFact;
import paredown.smell.Evidence;
import paredown.smell.Finding;
import paredown.smell.Form;
import paredown.smell.Grounds;

/** A class below another one of the project that neither adds nor changes anything. */
final class AddsNothing {
  private AddsNothing() {}

  static Optional<Finding> find(TypeFact type, Grounds grounds) {
    TypeFact above = grounds.types().get(type.superclass());
    boolean nothing =
        above != null
            && type.fields().isEmpty()
            && type.methods().stream().allMatch(MethodFact::passesUp)
            && type.initialising().statements() == 0
            && !above.isAbstract()
            && above.supertypes().size() + 1 == type.supertypes().size();
    if (!nothing) {
      return Optional.empty();
    }
    Evidence.Figure figure =
        new Evidence.Figure("members", 0, 0, "no field and no method of its own");
    return Optional.of(
        LazyFinding.of(
            type,
            Form.EMPTY,
            35,
            "adds nothing to " + Finding.shortName(above.name()),
            "%s adds nothing to %s, the class above it.",
            above.name(),
            List.of(figure, LazyFinding.clients(type, grounds)),
            "",
            List.of()));
  }
}
