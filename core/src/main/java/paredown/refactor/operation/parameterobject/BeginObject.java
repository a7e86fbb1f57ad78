package paredown.refactor.operation.parameterobject;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Piece;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.program.Symbols;
import paredown.refactor.carry.NewFileHead;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.NewTypeName;
import paredown.refactor.name.Sight;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/** Makes the class of the object, which nobody knows yet. */
record BeginObject(ExtractParameterObject whole) implements Part {

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Set<String> first = new TreeSet<>(index.filesWith(Set.of(whole.name())));
    first.add(index.type(whole.type()).file());
    return new Rounds(sources, index)
        .plan(
            first,
            program -> {
              Signatures signatures = Signatures.of(whole, program, index);
              Set<String> files = new TreeSet<>(first);
              files.addAll(signatures.affected());
              return new Rounds.Outcome(files, () -> change(program, signatures));
            });
  }

  private Change change(Program program, Signatures signatures) {
    OwnerClass owner = signatures.owner();
    String home = owner.packageName();
    for (Component each : signatures.components()) {
      WrittenWhere.require(each, Sight.within(home, program), signatures);
    }
    new NewTypeName(program, home, whole.name())
        .requireFree(
            use -> false, "Choose another with --name.", owner.trees().place(owner.tree()));
    String key = Symbols.typeKey(new NewTypeName(program, home, whole.name()).qualified());
    TypeNames names =
        TypeNames.ofNewFile(owner.trees(), home)
            .meaning(signatures.variables().keys(program.symbols(), key));
    Piece text =
        new ObjectText(whole.name(), signatures, isOpen(signatures.heads(), home), names).piece();
    List<Piece> pieces = List.of(names.newImports(owner.source().lineEnd()), text);
    ChangedFile file = new NewFileHead(owner, home).file(whole.name(), pieces);
    return NewFileHead.begun(program, file, whole.name(), List.of());
  }

  /** Whether another package could see one of the heads, and so must see the object. */
  private static boolean isOpen(List<Head> heads, String home) {
    return heads.stream()
        .anyMatch(
            head -> !head.trees().packageName().equals(home) || AccessLevel.isApi(head.element()));
  }
}
