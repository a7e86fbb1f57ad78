package paredown.refactor.operation.value;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.UnusableRequest;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Piece;
import paredown.edit.Rendering;
import paredown.edit.Written;
import paredown.program.CompileError;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.StepOf;
import paredown.refactor.carry.NewFileHead;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;
import paredown.text.SourceText;

/** Makes the type, which nobody knows yet. */
record BeginValue(ExtractValue whole) implements StepOf {

  @Override
  public Refactoring.Planned plan(Sources sources, SourceIndex index) {
    return new Rounds(sources, index)
        .ofClass(
            whole.type(),
            Set.of(whole.name()),
            owner -> new Rounds.Outcome(Set.of(), () -> change(owner)));
  }

  private Change change(OwnerClass owner) {
    OwnerClass.Field field = owner.fields(List.of(whole.field())).get(0);
    Wrappable.require(owner, field);
    Program program = owner.program();
    String home = owner.packageName();
    if (program.elements().getTypeElement((home.isEmpty() ? "" : home + ".") + whole.name())
        != null) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "There is a class %s already.".formatted(whole.name()),
          "Choose another with --name.",
          owner.trees().place(owner.tree()));
    }
    boolean open = whole.accessors() && AccessLevel.isApi(owner.element());
    NewFileHead head = new NewFileHead(owner, home);
    String text = new ValueText(whole.name(), field, owner, open, whole.check()).text();
    List<Piece> pieces = new ArrayList<>(head.pieces());
    pieces.add(meant(program.sources(), head.path(whole.name()), home, text, owner.source()));
    ChangedFile file =
        Rendering.created(head.path(whole.name()), pieces, owner.source(), path -> owner.source());
    Set<String> affected = new TreeSet<>(Set.of(file.path()));
    program.units().forEach(unit -> affected.add(unit.path()));
    List<String> notes =
        whole.check().isEmpty()
            ? List.of()
            : List.of(
                "No %s can be made of a value that breaks the check; tests that make one fail then,"
                        .formatted(whole.name())
                    + " and --expect-red names them.");
    return new Change(
        "%s begins.".formatted(whole.name()),
        List.of(file),
        Map.of(),
        Map.of(),
        affected,
        new Change.Report(List.of(), List.of(), List.of(), notes));
  }

  /** The text with what its names mean, which only the compiler can tell of a check. */
  private Written meant(
      Sources sources, String path, String home, String text, SourceText neighbour) {
    String packaged = home.isEmpty() ? "" : "package " + home + ";\n";
    Program alone =
        Program.attribute(
            sources, Map.of(path, new SourceText(path, packaged + text, neighbour.charset())));
    Optional<CompileError> error = alone.errors().stream().findFirst();
    if (error.isPresent()) {
      throw new UnusableRequest(
          "--check cannot be compiled: %s."
              .formatted(error.get().message().lines().findFirst().orElse("")),
          "Give a condition of Java about value: --check 'value >= 0'.");
    }
    Written.Text written = Written.text("");
    int at = packaged.length();
    String all = packaged + text;
    for (Use use : inOrder(alone, path)) {
      if (use.offset() < packaged.length()) {
        continue;
      }
      written.text(all.substring(at, use.offset()));
      at = use.offset();
      boolean named = use.kind() == UseKind.NAME;
      int end = named ? at + nameLength(all, at) : at;
      if (named && use.key().startsWith("local ")) {
        written.local(all.substring(at, end));
      } else if (named) {
        written.name(all.substring(at, end), use.key());
      } else {
        written.here(use.kind(), use.key());
      }
      at = end;
    }
    return written.text(all.substring(at)).done().proving("somebody asked for this check");
  }

  /** All uses by their places; the name itself comes behind what else is meant there. */
  private static List<Use> inOrder(Program program, String path) {
    return program
        .uses()
        .in(path)
        .sorted(
            Comparator.comparingInt(Use::offset).thenComparing(use -> use.kind() == UseKind.NAME))
        .toList();
  }

  private static int nameLength(String text, int at) {
    int end = at;
    while (end < text.length() && Character.isJavaIdentifierPart(text.charAt(end))) {
      end++;
    }
    return end - at;
  }
}
