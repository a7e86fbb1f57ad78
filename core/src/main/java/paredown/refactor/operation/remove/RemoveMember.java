package paredown.refactor.operation.remove;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.gate.Verdict;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.Rounds;
import paredown.text.Listed;

/**
 * Remove member takes fields and methods away that nothing uses but each other.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param members names of its fields, and of its methods, with parameter types where they are
 *     overloaded
 * @param withTests whether tests that use them go, too
 * @param accepted the kinds of refusal that are accepted
 */
public record RemoveMember(
    String type, List<String> members, boolean withTests, Set<RefusalKind> accepted)
    implements Refactoring {

  public RemoveMember {
    members = List.copyOf(new LinkedHashSet<>(members));
    accepted = Set.copyOf(accepted);
  }

  /** The same where a kind of refusal is accepted, too. */
  public RemoveMember accepting(RefusalKind kind) {
    Set<RefusalKind> more = new LinkedHashSet<>(accepted);
    more.add(kind);
    return new RemoveMember(type, members, withTests, more);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    if (members.isEmpty()) {
      throw new UnusableRequest("No member is named.", "Say which: TYPE#MEMBER.");
    }
    return new Rounds(sources, index)
        .ofClass(
            type,
            Set.of(),
            owner -> {
              GoingMembers going = GoingMembers.of(owner, members);
              return new Rounds.Outcome(
                  index.filesWith(going.names()), new RemoveMemberPlan(this, going)::change);
            });
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("%s cannot be removed".formatted(Listed.of(members)))
        .because(RefusalKind.STILL_USED, verdict, "");
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
  public String participle() {
    return "removed";
  }

  @Override
  public String command() {
    return "pare remove member %s%s%s"
        .formatted(
            Arguments.quoted(type + "#" + String.join(",", members)),
            withTests ? " --with-tests" : "",
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "remove " + Listed.of(members);
  }
}
