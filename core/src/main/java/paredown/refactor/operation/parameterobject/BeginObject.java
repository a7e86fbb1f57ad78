package paredown.refactor.operation.parameterobject;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Piece;
import paredown.edit.Rendering;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.NewFileHead;
import paredown.refactor.name.AccessLevel;
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
      WrittenWhere.require(each, Sight.within(home, program.elements()), signatures);
    }
    if (program.elements().getTypeElement((home.isEmpty() ? "" : home + ".") + whole.name())
        != null) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "There is a class %s already.".formatted(whole.name()),
          "Choose another with --name.",
          owner.trees().place(owner.tree()));
    }
    NewFileHead head = new NewFileHead(owner, home);
    TypeNames names = TypeNames.ofNewFile(owner.trees(), home);
    Piece text =
        new ObjectText(whole.name(), signatures, isOpen(signatures.heads(), home), names).piece();
    List<Piece> pieces = new ArrayList<>(head.pieces());
    pieces.add(names.newImports(owner.source().lineEnd()));
    pieces.add(text);
    ChangedFile file =
        Rendering.created(head.path(whole.name()), pieces, owner.source(), path -> owner.source());
    Set<String> affected = new TreeSet<>(Set.of(file.path()));
    program.units().forEach(unit -> affected.add(unit.path()));
    return new Change(
        "%s begins.".formatted(whole.name()),
        List.of(file),
        Map.of(),
        Map.of(),
        affected,
        new Change.Report(List.of(), List.of(), List.of(), List.of()));
  }

  /** Whether another package could see one of the heads, and so must see the object. */
  private static boolean isOpen(List<Head> heads, String home) {
    return heads.stream()
        .anyMatch(
            head -> !head.trees().packageName().equals(home) || AccessLevel.isApi(head.element()));
  }
}
