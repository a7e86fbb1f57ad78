package paredown.refactor.operation.movetype;

import java.util.Set;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.StepOf;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/** Unnest takes a type that stands within another out of it, to a file of its own beside it. */
record Unnest(MoveType whole) implements StepOf {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    String name = index.type(whole.type()).simpleName();
    return new Rounds(sources, index)
        .ofClass(whole.type(), Set.of(name), nested -> outcome(nested, index));
  }

  private Rounds.Outcome outcome(OwnerClass nested, SourceIndex index) {
    Set<String> spelt =
        whole.inStrings()
            ? Set.copyOf(MoveType.spelt(nested, nested.packageName()).files())
            : Set.of();
    return new Rounds.Outcome(spelt, new UnnestPlan(whole, nested, index)::change);
  }
}
