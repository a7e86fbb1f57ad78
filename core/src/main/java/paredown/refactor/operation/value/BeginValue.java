package paredown.refactor.operation.value;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Written;
import paredown.program.CompileError;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.program.Use;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.StepOf;
import paredown.refactor.carry.NewFileHead;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.NewTypeName;
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
    new NewTypeName(program, home, whole.name())
        .requireFree(
            use -> false, "Choose another with --name.", owner.trees().place(owner.tree()));
    boolean open = whole.accessors() && AccessLevel.isApi(owner.element());
    NewFileHead head = new NewFileHead(owner, home);
    String text = new ValueText(whole.name(), field, owner, open, whole.check()).text();
    ChangedFile file =
        head.file(whole.name(), List.of(meant(owner, head.path(whole.name()), text)));
    List<String> notes =
        whole.check().isEmpty()
            ? List.of()
            : List.of(
                "No %s can be made of a value that breaks the check; tests that make one fail then,"
                        .formatted(whole.name())
                    + " and --expect-red names them.");
    return NewFileHead.begun(program, file, whole.name(), notes);
  }

  /** The text with what its names mean, which only the compiler can tell of a check. */
  private Written meant(OwnerClass owner, String path, String text) {
    String home = owner.packageName();
    String packaged = home.isEmpty() ? "" : "package " + home + ";\n";
    SourceText source = new SourceText(path, packaged + text, owner.source().charset());
    Program alone = Program.attribute(owner.program().sources(), Map.of(path, source));
    alone.errors().stream().findFirst().ifPresent(error -> refuse(owner, error));
    Written.Text written = Written.text("");
    int at = packaged.length();
    for (Use use : inOrder(alone, path)) {
      if (use.offset() < at) {
        continue;
      }
      written.text(source.slice(at, use.offset()));
      at = use.offset();
      if (!use.isName()) {
        written.here(use.kind(), use.key());
        continue;
      }
      int end = source.codeTokenFrom(at).end();
      String word = source.slice(at, end);
      if (use.key().startsWith("local ")) {
        written.local(word);
      } else {
        written.name(word, use.key());
      }
      at = end;
    }
    String rest = source.slice(at, source.length());
    return written.text(rest).done().proving("somebody asked for this check");
  }

  /** Without a check it is the class's own names that the new file does not know. */
  private void refuse(OwnerClass owner, CompileError error) {
    String what = error.message().lines().findFirst().orElse("");
    if (whole.check().isPresent()) {
      throw new UnusableRequest(
          "--check cannot be compiled: %s.".formatted(what),
          "Give a condition of Java about value: --check 'value >= 0'.");
    }
    throw Refused.advising(
        RefusalKind.NAME_HIDDEN,
        "%s cannot be written in a file of its own: %s.".formatted(whole.name(), what),
        "Choose another with --name.",
        owner.trees().place(owner.tree()));
  }

  /** All uses by their places; the name itself comes behind what else is meant there. */
  private static List<Use> inOrder(Program program, String path) {
    return program
        .uses()
        .in(path)
        .sorted(Comparator.comparingInt(Use::offset).thenComparing(use -> use.isName()))
        .toList();
  }
}
