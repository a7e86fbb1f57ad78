package paredown.refactor.operation.movefield;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.gate.Verdict;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/**
 * Move field takes a field to another class, and lets all who name it follow: a static one as it
 * is, one of objects to an object of the target that each of them holds.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param field its name
 * @param target the class that gets it
 * @param through the field that holds the target; empty where there is one only, or for static
 *     fields
 * @param accepted the kinds of refusal that are accepted
 */
public record MoveField(
    String type, String field, String target, Optional<String> through, Set<RefusalKind> accepted)
    implements Refactoring {

  public MoveField {
    accepted = Set.copyOf(accepted);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType header = index.type(type);
    DeclaredType home = index.type(target);
    ReadableFiles.requireEditable(sources, header);
    ReadableFiles.requireEditable(sources, home);
    Set<String> files = new TreeSet<>(List.of(header.file(), home.file()));
    files.addAll(index.filesWith(Set.of(field)));
    return new Rounds(sources, index)
        .plan(
            files,
            program -> {
              ReadableFiles.require(program, files);
              OwnerClass owner = OwnerClass.of(program, header);
              OwnerClass.Field meant = owner.fields(List.of(field)).get(0);
              MoveFieldPlan plan =
                  new MoveFieldPlan(this, owner, meant, OwnerClass.of(program, home));
              return new Rounds.Outcome(files, plan::change);
            });
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot(
            "%s cannot be moved to %s: a name means something else there, or cannot be seen"
                .formatted(field, target))
        .because(RefusalKind.NAME_TAKEN, verdict, "Rename one of the two first.");
  }

  @Override
  public Set<RefusalKind> accepted() {
    return accepted;
  }

  /** The kinds of refusal that this operation can be told to accept. */
  public static List<RefusalKind> acceptable() {
    return List.of(
        RefusalKind.MAPPED_FIELD,
        RefusalKind.REFLECTED,
        RefusalKind.SERIALIZED,
        RefusalKind.STARTED_EARLIER,
        RefusalKind.TARGET_SHARED);
  }

  @Override
  public String command() {
    return "pare move field %s --to %s%s%s"
        .formatted(
            Arguments.quoted(type + "#" + field),
            Arguments.quoted(target),
            through.map(each -> " --through " + each).orElse(""),
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "move field %s to %s".formatted(field, target.substring(target.lastIndexOf('.') + 1));
  }
}
