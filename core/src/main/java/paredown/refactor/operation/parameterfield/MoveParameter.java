package paredown.refactor.operation.parameterfield;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.gate.Verdict;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Words;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.Rounds;

/**
 * Move parameter makes a field of a parameter that every caller of an object passes alike: the
 * constructor takes it, and the methods do not any more.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param method the one that loses it; empty for all with a parameter of that name and type
 * @param parameter its name
 * @param name of the field; empty for the same
 * @param accepted the kinds of refusal that are accepted
 */
public record MoveParameter(
    String type,
    Optional<String> method,
    String parameter,
    Optional<String> name,
    Set<RefusalKind> accepted)
    implements Refactoring {

  public MoveParameter {
    accepted = Set.copyOf(accepted);
  }

  /** The kinds of refusal that can be accepted. */
  public static List<RefusalKind> acceptable() {
    return List.of(RefusalKind.OBJECT_UNKNOWN);
  }

  /** The same where a kind of refusal is accepted, too. */
  public MoveParameter accepting(RefusalKind kind) {
    Set<RefusalKind> more = new TreeSet<>(accepted);
    more.add(kind);
    return new MoveParameter(type, method, parameter, name, more);
  }

  /** The same under another name of the field. */
  public MoveParameter named(String other) {
    return new MoveParameter(type, method, parameter, Optional.of(other), accepted);
  }

  String field() {
    return name.orElse(parameter);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Words.requireVariableName(field());
    return new Rounds(sources, index)
        .ofClass(
            type,
            Set.of(),
            owner -> {
              LosingMethods losing = LosingMethods.of(this, owner);
              Set<String> words = new TreeSet<>(losing.going().names());
              words.add(owner.simpleName());
              return new Rounds.Outcome(
                  index.filesWith(words), new MoveParameterPlan(this, owner, losing)::change);
            });
  }

  @Override
  public Set<RefusalKind> accepted() {
    return accepted;
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("%s cannot be a field %s".formatted(parameter, field()))
        .because(RefusalKind.NAME_HIDDEN, verdict, "Give the field another name: --name NAME.");
  }

  @Override
  public String command() {
    return "pare move parameter %s%s%s"
        .formatted(
            Arguments.quoted(type + method.map(each -> "#" + each).orElse("") + "#" + parameter),
            name.map(each -> " --name " + each).orElse(""),
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "move parameter %s into a field of %s"
        .formatted(parameter, type.substring(type.lastIndexOf('.') + 1));
  }
}
