package paredown.refactor.operation.builder;

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
 * Extract builder puts a builder within a class whose constructors grow by a parameter at a time:
 * it takes what all of them take, a method each gives the rest, and what is not given is as the
 * shorter constructors have it. Who called the constructors asks the builder.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param name the simple name of the builder
 * @param isOnly whether the constructor shall be private, so that the builder alone calls it
 * @param accepted the kinds of refusal that are accepted
 */
public record ExtractBuilder(String type, String name, boolean isOnly, Set<RefusalKind> accepted)
    implements Refactoring {
  /** What it is called where nothing else is said. */
  public static final String USUAL = "Builder";

  public ExtractBuilder {
    accepted = Set.copyOf(accepted);
  }

  /** The same under another name. */
  public ExtractBuilder named(String other) {
    return new ExtractBuilder(type, other, isOnly, accepted);
  }

  /** The same where a kind of refusal is accepted, too. */
  public ExtractBuilder accepting(RefusalKind kind) {
    Set<RefusalKind> more = new TreeSet<>(accepted);
    more.add(kind);
    return new ExtractBuilder(type, name, isOnly, more);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Words.requireClassName(name);
    Set<String> words = Set.of(index.type(type).simpleName());
    return new Rounds(sources, index)
        .ofClass(
            type,
            words,
            owner -> new Rounds.Outcome(Set.of(), new BuilderPlan(this, owner)::change));
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot(
            "%s cannot be built that way".formatted(type.substring(type.lastIndexOf('.') + 1)))
        .because(RefusalKind.NAME_TAKEN, verdict, "Choose another name with --name.");
  }

  /** The kinds of refusal that this operation can be told to accept. */
  public static List<RefusalKind> acceptable() {
    return List.of(RefusalKind.STARTED_EARLIER);
  }

  @Override
  public String command() {
    return "pare extract builder %s%s%s%s"
        .formatted(
            Arguments.quoted(type),
            Optional.of(name)
                .filter(each -> !each.equals(USUAL))
                .map(each -> " --name " + each)
                .orElse(""),
            isOnly ? " --private" : "",
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "extract builder " + name + (isOnly ? ", the only way to make one" : "");
  }
}
