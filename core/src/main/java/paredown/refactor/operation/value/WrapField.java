package paredown.refactor.operation.value;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.StepOf;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/** Lets the field hold an object of the type that there is now. */
record WrapField(ExtractValue whole) implements StepOf {

  @Override
  public Refactoring.Planned plan(Sources sources, SourceIndex index) {
    return new Rounds(sources, index)
        .ofClass(
            whole.type(),
            Set.of(whole.name()),
            owner -> {
              OwnerClass.Field field = owner.fields(List.of(whole.field())).get(0);
              WrappedAccessors accessors =
                  whole.accessors()
                      ? WrappedAccessors.of(owner, field)
                      : WrappedAccessors.none(owner, field);
              Set<String> words = new TreeSet<>(accessors.names());
              words.add(whole.field());
              return new Rounds.Outcome(
                  index.filesWith(words),
                  () -> new WrapFieldPlan(whole, owner, field, accessors).change());
            });
  }
}
