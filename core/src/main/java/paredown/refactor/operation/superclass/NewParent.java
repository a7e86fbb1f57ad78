package paredown.refactor.operation.superclass;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.operation.superclass.between.Between;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/** Puts a new class, which has nothing yet, between classes and the one that they extend. */
record NewParent(ExtractSuperclass whole) implements Step {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    List<DeclaredType> headers = whole.classes().stream().map(index::type).distinct().toList();
    headers.forEach(each -> ReadableFiles.requireEditable(sources, each));
    Set<String> files = new TreeSet<>(index.filesWith(Set.of(whole.name().orElseThrow())));
    headers.forEach(each -> files.add(each.file()));
    return new Rounds(sources, index)
        .plan(
            files,
            program -> {
              ReadableFiles.require(program, files);
              List<OwnerClass> owners =
                  headers.stream().map(each -> OwnerClass.of(program, each)).toList();
              return new Rounds.Outcome(
                  files,
                  () -> new Between(whole.name().orElseThrow(), owners, whole.members()).change());
            });
  }
}
