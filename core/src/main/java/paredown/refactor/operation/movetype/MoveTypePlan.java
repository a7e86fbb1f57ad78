package paredown.refactor.operation.movetype;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.ShownName;
import paredown.refactor.name.SpeltName;
import paredown.refactor.name.Widening;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** Works out what the move of a type does to every file, or why it cannot be done. */
final class MoveTypePlan {
  private final MoveType arguments;
  private final DeclaredType header;
  private final OwnerClass owner;
  private final Program program;
  private final SourceIndex index;
  private final Widening widening;
  private final SpeltName spelt;

  MoveTypePlan(MoveType arguments, DeclaredType header, OwnerClass owner, SourceIndex index) {
    this.arguments = arguments;
    this.header = header;
    this.owner = owner;
    this.program = owner.program();
    this.index = index;
    this.widening = new Widening(program);
    this.spelt = MoveType.spelt(owner, arguments.target());
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    new MoveTypeChecks(arguments, header, owner, index, overruled).require();
    new Parting(owner, arguments.target(), widening).open();
    Set<String> affected = ReadableFiles.paths(program);
    List<ChangedFile> files = files();
    files.forEach(file -> affected.add(file.path()));
    new ShownName(owner, index).assume();
    return new Change(
        "%s goes from %s to %s."
            .formatted(
                owner.simpleName(),
                owner.packageName().isEmpty() ? "the unnamed package" : owner.packageName(),
                arguments.target()),
        files,
        Map.of(),
        Map.of(),
        Map.of(owner.binaryName(), arguments.target() + "." + owner.simpleName()),
        affected,
        new Change.Report(api(), widening.announced(), List.of(), notes(overruled))
            .assuming(owner.assumptions().all()));
  }

  private List<ChangedFile> files() {
    EditList edits =
        new MoveTypeEdits(
                owner,
                arguments.target(),
                new EmptiedPackage(header, program.sources(), index).isEmptied())
            .collected();
    widening.collect(null, edits::add);
    if (arguments.inStrings()) {
      spelt.inStrings(program, edits::add);
    }
    List<ChangedFile> files = new ArrayList<>();
    for (ChangedFile file : new EditedFiles(program).of(edits)) {
      files.add(
          file.path().equals(header.file())
              ? file.at(MoveTypeChecks.newPath(owner, arguments.target()))
              : file);
    }
    if (arguments.inStrings()) {
      files.addAll(spelt.inFiles());
    }
    return files;
  }

  private List<String> notes(Overruled overruled) {
    List<String> notes = new ArrayList<>(overruled.notes());
    notes.addAll(spelt.notes());
    return notes;
  }

  private List<String> api() {
    return AccessLevel.isApi(owner.element())
        ? List.of(
            "%s is %s.%s now"
                .formatted(
                    owner.element().getQualifiedName(), arguments.target(), owner.simpleName()))
        : List.of();
  }
}
