package paredown.refactor.operation.remove;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import paredown.gate.Verdict;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/**
 * Remove class takes a type away that nothing uses but itself, with its file.
 *
 * @param type the class, interface, enum or record, in any form that one type of the project
 *     answers to
 * @param withTests whether the test class that is named after it goes, too
 * @param accepted the kinds of refusal that are accepted
 */
public record RemoveClass(String type, boolean withTests, Set<RefusalKind> accepted)
    implements Refactoring {

  public RemoveClass {
    accepted = Set.copyOf(accepted);
  }

  /** The same where a kind of refusal is accepted, too. */
  public RemoveClass accepting(RefusalKind kind) {
    Set<RefusalKind> more = new TreeSet<>(accepted);
    more.add(kind);
    return new RemoveClass(type, withTests, more);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType header = index.type(type);
    ReadableFiles.requireEditable(sources, header);
    Set<String> names = new TreeSet<>(Set.of(header.simpleName()));
    // What stands within it can be named alone.
    index.types().stream()
        .filter(each -> each.name().startsWith(header.name() + "."))
        .forEach(each -> names.add(each.simpleName()));
    Set<String> files = new TreeSet<>(index.filesWith(names));
    files.add(header.file());
    return new Rounds(sources, index)
        .plan(
            files,
            program -> {
              ReadableFiles.require(program, files);
              OwnerClass owner = OwnerClass.of(program, header);
              return new Rounds.Outcome(files, new RemoveClassPlan(this, owner)::change);
            });
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("%s cannot be removed".formatted(simpleName()))
        .because(RefusalKind.STILL_USED, verdict, "");
  }

  private String simpleName() {
    return type.substring(type.lastIndexOf('.') + 1);
  }

  /** The kinds of refusal that this operation can be told to accept. */
  public static List<RefusalKind> acceptable() {
    return NamedFromOutside.acceptable();
  }

  @Override
  public String participle() {
    return "removed";
  }

  @Override
  public String command() {
    return "pare remove class %s%s%s"
        .formatted(
            Arguments.quoted(type),
            withTests ? " --with-tests" : "",
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "remove class " + simpleName();
  }
}
