package paredown.refactor.operation.movetype;

import java.util.Set;
import java.util.TreeSet;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.StepOf;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/** Unnest takes a type that stands within another out of it, to a file of its own beside it. */
record Unnest(MoveType whole) implements StepOf {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType header = index.type(whole.type());
    ReadableFiles.requireEditable(sources, header);
    Set<String> files = new TreeSet<>(index.filesWith(Set.of(header.simpleName())));
    files.add(header.file());
    return new Rounds(sources, index)
        .plan(
            files,
            program -> {
              ReadableFiles.require(program, Set.of(header.file()));
              OwnerClass nested = OwnerClass.of(program, header);
              if (whole.inStrings()) {
                files.addAll(MoveType.spelt(nested, nested.packageName()).files());
              }
              return new Rounds.Outcome(files, new UnnestPlan(whole, nested, index)::change);
            });
  }
}
