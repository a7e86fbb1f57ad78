package paredown.refactor.operation.changetype;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.gate.Verdict;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;

/**
 * Change type gives a field, or what a method gives, another type, and so all variables, parameters
 * and methods that its value goes to.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param member the field, or the method as its name or signature
 * @param to the new type as it is typed
 * @param as the method that makes an object of the old value, {@code Duration.ofMinutes}; empty for
 *     the usual one
 * @param back the method that gives the old value; empty for the usual one
 * @param accepted the kinds of refusal that are accepted
 */
public record ChangeType(
    String type,
    String member,
    String to,
    Optional<String> as,
    Optional<String> back,
    Set<RefusalKind> accepted)
    implements Refactoring {

  public ChangeType {
    accepted = Set.copyOf(accepted);
  }

  /** A change that goes by the usual methods. */
  public ChangeType(String type, String member, String to) {
    this(type, member, to, Optional.empty(), Optional.empty(), Set.of());
  }

  /** The kinds of refusal that can be accepted. */
  public static List<RefusalKind> acceptable() {
    return List.of(
        RefusalKind.MAPPED_FIELD,
        RefusalKind.SERIALIZED,
        RefusalKind.REFLECTED,
        RefusalKind.NAMED_ELSEWHERE,
        RefusalKind.STARTED_EARLIER,
        RefusalKind.MAYBE_NULL);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    var header = index.type(type);
    ReadableFiles.requireEditable(sources, header);
    Set<String> first = new TreeSet<>(index.filesWith(Set.of(member.replaceAll("\\(.*", ""))));
    first.add(header.file());
    return new Rounds(sources, index)
        .plan(
            first,
            program -> {
              ReadableFiles.require(program, Set.of(header.file()));
              return outcome(program, index, first);
            });
  }

  private Rounds.Outcome outcome(Program program, SourceIndex index, Set<String> first) {
    Holders holders = Holders.of(this, program, index);
    Set<String> affected = new TreeSet<>(first);
    affected.addAll(holders.affected(index));
    return new Rounds.Outcome(affected, () -> new ChangeTypePlan(this, program, holders).change());
  }

  @Override
  public Set<RefusalKind> accepted() {
    return accepted;
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("%s cannot have the type %s".formatted(member, to))
        .because(RefusalKind.INFERRED_TYPE, verdict, "");
  }

  @Override
  public String participle() {
    return "changed";
  }

  @Override
  public String command() {
    return "pare change type %s --to %s%s%s%s"
        .formatted(
            Arguments.quoted(type + "#" + member),
            Arguments.quoted(to),
            as.map(each -> " --as " + Arguments.quoted(each)).orElse(""),
            back.map(each -> " --back " + Arguments.quoted(each)).orElse(""),
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "change type of %s to %s".formatted(member, to);
  }
}
