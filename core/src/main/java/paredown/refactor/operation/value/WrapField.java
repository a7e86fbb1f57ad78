package paredown.refactor.operation.value;

import java.util.Set;
import java.util.TreeSet;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.StepOf;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/** Lets the field hold an object of the type that there is now. */
record WrapField(ExtractValue whole) implements StepOf {

  @Override
  public Refactoring.Planned plan(Sources sources, SourceIndex index) {
    DeclaredType header = index.type(whole.type());
    Set<String> first = new TreeSet<>(Set.of(header.file()));
    first.addAll(index.filesWith(Set.of(whole.name())));
    return new Rounds(sources, index)
        .plan(
            first,
            program -> {
              OwnerClass owner = OwnerClass.of(program, header);
              OwnerClass.Field field = owner.fields(java.util.List.of(whole.field())).get(0);
              WrappedAccessors accessors =
                  whole.accessors()
                      ? WrappedAccessors.of(owner, field)
                      : WrappedAccessors.none(owner, field);
              Set<String> files = new TreeSet<>(first);
              files.addAll(index.filesWith(Set.of(whole.field())));
              files.addAll(index.filesWith(accessors.names()));
              ReadableFiles.require(program, Set.of(header.file()));
              return new Rounds.Outcome(
                  files, () -> new WrapFieldPlan(whole, owner, field, accessors).change());
            });
  }
}
