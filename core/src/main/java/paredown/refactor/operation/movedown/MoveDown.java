package paredown.refactor.operation.movedown;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import paredown.UnusableRequest;
import paredown.gate.Verdict;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/**
 * Move down takes fields and methods to a class below theirs, whose objects alone are asked for
 * them.
 *
 * <p>Fowler, "Refactoring", second edition, 2018, chapter 12 ("Push down method", "Push down
 * field").
 *
 * @param type the class, in any form that one class of the project answers to
 * @param members names of fields and methods, methods with parameter types where needed
 * @param target the class below that gets them
 * @param accepted the kinds of refusal that are accepted
 */
public record MoveDown(String type, List<String> members, String target, Set<RefusalKind> accepted)
    implements Refactoring {

  public MoveDown {
    members = List.copyOf(members);
    accepted = Set.copyOf(accepted);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType from = index.type(type);
    DeclaredType to = index.type(target);
    ReadableFiles.requireEditable(sources, from);
    ReadableFiles.requireEditable(sources, to);
    Set<String> first = new TreeSet<>(List.of(from.file(), to.file()));
    return new Rounds(sources, index)
        .plan(
            first,
            program -> {
              ReadableFiles.require(program, first);
              Going going = going(program, from, to);
              Set<String> files = new TreeSet<>(first);
              files.addAll(index.filesWith(going.names()));
              return new Rounds.Outcome(files, () -> new MoveDownPlan(this, going).change());
            });
  }

  private Going going(Program program, DeclaredType from, DeclaredType to) {
    OwnerClass parent = OwnerClass.of(program, from);
    OwnerClass child = OwnerClass.of(program, to);
    boolean below =
        !parent.element().equals(child.element())
            && program.supertypes(child.element()).contains(parent.element());
    if (!below) {
      throw new UnusableRequest(
          "%s is not below %s.".formatted(child.writtenName(), parent.writtenName()),
          "Name a class with --to that extends it.");
    }
    Map<Element, String> keys = new LinkedHashMap<>();
    List<String> fields =
        members.stream()
            .filter(each -> parent.fields().stream().anyMatch(field -> field.name().equals(each)))
            .toList();
    List<String> methods = members.stream().filter(each -> !fields.contains(each)).toList();
    Going going = new Going(parent, child, parent.fields(fields), parent.methods(methods), keys);
    going.fields().forEach(each -> keys.put(each.element(), each.key()));
    going.methods().forEach(each -> keys.put(each.element(), each.key()));
    return going;
  }

  @Override
  public void explain(Verdict verdict) {
    String what =
        verdict.dispatch().isEmpty()
            ? verdict.first().orElseThrow().what()
            : verdict.dispatch().get(0);
    throw Refused.advising(
        verdict.dispatch().isEmpty() ? RefusalKind.NAME_TAKEN : RefusalKind.DISPATCH,
        "%s cannot go down to %s: %s.".formatted(Listed.of(members), target, what),
        "",
        verdict.first().map(Verdict.Objection::place).orElse(""));
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
        RefusalKind.NAMED_ELSEWHERE);
  }

  @Override
  public String command() {
    return "pare move down %s --to %s%s"
        .formatted(
            Arguments.quoted(type + "#" + String.join(",", members)),
            Arguments.quoted(target),
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "move %s down to %s"
        .formatted(Listed.of(members), target.substring(target.lastIndexOf('.') + 1));
  }
}
