package paredown.refactor.operation.movetype;

import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.edit.Change;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.StepOf;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/**
 * Detach lets the objects of an inner class take the object that they belong to in their
 * constructors, so that the class can be static; nothing where they need none.
 */
record Detach(MoveType whole) implements StepOf {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    String name = index.type(whole.type()).simpleName();
    return new Rounds(sources, index)
        .ofClass(
            whole.type(),
            Set.of(name),
            nested -> new Rounds.Outcome(Set.of(), () -> change(nested)));
  }

  private static Change change(OwnerClass nested) {
    ObjectAround around = new ObjectAround(nested);
    return around.isThere() && !around.uses().isEmpty()
        ? new DetachPlan(nested, around).change()
        : new Change(
            nested.writtenName() + " needs no object around it.",
            List.of(),
            Map.of(),
            Map.of(),
            Set.of(),
            new Change.Report(List.of(), List.of(), List.of(), List.of()));
  }
}
