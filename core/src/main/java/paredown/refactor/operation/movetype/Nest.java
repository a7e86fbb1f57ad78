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

/**
 * Nest takes a type with a file of its own into another type of its package.
 *
 * @param whole the move that it is a step of
 * @param type the type, as it is named in its turn
 */
record Nest(MoveType whole, String type) implements StepOf {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType header = index.type(type);
    DeclaredType around = index.type(whole.target());
    ReadableFiles.requireEditable(sources, header);
    ReadableFiles.requireEditable(sources, around);
    ReadableFiles.requireSameSide(sources, header.simpleName(), header, around);
    Set<String> files = new TreeSet<>(index.filesWith(Set.of(header.simpleName())));
    files.add(header.file());
    files.add(around.file());
    return new Rounds(sources, index)
        .plan(
            files,
            program -> {
              ReadableFiles.require(program, Set.of(header.file(), around.file()));
              OwnerClass alone = OwnerClass.of(program, header);
              if (whole.inStrings()) {
                files.addAll(NestPlan.spelt(alone, OwnerClass.of(program, around)).files());
              }
              return new Rounds.Outcome(
                  files,
                  () -> new NestPlan(whole, alone, OwnerClass.of(program, around), index).change());
            });
  }
}
