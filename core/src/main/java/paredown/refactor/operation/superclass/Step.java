package paredown.refactor.operation.superclass;

import paredown.gate.Verdict;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.StepOf;
import paredown.text.Listed;

/** A step of the extraction of a superclass. */
interface Step extends StepOf {
  @Override
  ExtractSuperclass whole();

  @Override
  default void explain(Verdict verdict) {
    verdict
        .first()
        .ifPresent(
            met -> {
              throw Refused.advising(
                  RefusalKind.NAME_TAKEN,
                  "%s cannot go up: a name would mean something else there, or could not be seen: %s."
                      .formatted(Listed.of(whole().members()), met.what()),
                  "Rename one of the two first, or let other members go up.",
                  met.place());
            });
  }
}
