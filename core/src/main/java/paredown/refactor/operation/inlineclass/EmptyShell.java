package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.StatementTree;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Modifier;
import paredown.edit.Change;
import paredown.program.Below;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.program.Use;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.StepOf;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.name.TypeRemoval;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** Takes a class away of which nothing is left, and which nobody names. */
record EmptyShell(InlineClass whole) implements StepOf {

  /** Whether nobody can make an object of a class, or inherit from it. */
  static boolean isUnmade(OwnerClass owner) {
    boolean closed =
        owner.constructors().stream()
            .filter(each -> owner.trees().end(each.tree()) >= 0)
            .allMatch(each -> each.is(Modifier.PRIVATE) && isEmpty(owner, each));
    boolean inherited = !Below.of(owner.program(), List.of(owner.element())).isEmpty();
    return closed && !inherited && owner.tree().getImplementsClause().isEmpty();
  }

  /** Constructors that nobody calls may throw, to say so. */
  private static boolean isEmpty(OwnerClass owner, OwnerClass.Method constructor) {
    return constructor.tree().getBody().getStatements().stream()
        .filter(each -> owner.trees().end(each) >= 0)
        .map(StatementTree::getKind)
        .allMatch(kind -> kind == com.sun.source.tree.Tree.Kind.THROW);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType header = index.type(whole.type());
    Set<String> files = new TreeSet<>(index.filesWith(Set.of(header.simpleName())));
    files.add(header.file());
    return new Rounds(sources, index)
        .plan(files, program -> new Rounds.Outcome(files, () -> change(program, header)));
  }

  private Change change(Program program, DeclaredType header) {
    OwnerClass owner = OwnerClass.of(program, header);
    Overruled overruled = new Overruled(whole.accepted());
    new NamedFromOutside(owner, "inlined", overruled).require();
    requireUnnamed(program, owner);
    EditList edits = new EditList();
    edits.add(owner.trees().path(), TypeRemoval.of(owner, "nothing of it is left", List.of()));
    return new Change(
        owner.simpleName() + " is gone.",
        new EditedFiles(program).of(edits),
        Map.of(),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(TypeRemoval.api(owner), List.of(), List.of(), overruled.notes())
            .assuming(owner.assumptions().all()));
  }

  private static void requireUnnamed(Program program, OwnerClass owner) {
    for (Use use : program.uses().of(program.symbols().key(owner.element()))) {
      boolean own =
          use.file().equals(owner.trees().path())
              && use.offset() >= TypeRemoval.range(owner)[0]
              && use.offset() < TypeRemoval.range(owner)[1];
      if (!own) {
        throw Refused.advising(
            RefusalKind.OBJECT_NEEDED,
            "%s cannot be inlined: it is named there.".formatted(owner.simpleName()),
            "Name something else there first.",
            program.unit(use.file()).orElseThrow().source().place(use.offset()));
      }
    }
  }
}
