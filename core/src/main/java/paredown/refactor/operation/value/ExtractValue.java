package paredown.refactor.operation.value;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.gate.Verdict;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Words;
import paredown.refactor.plan.Arguments;

/**
 * Extract value makes a type of its own for the bare number or string that a field holds.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param field its name
 * @param name the simple name of the new type
 * @param check what must hold of {@code value}; empty where every value will do
 * @param accessors whether plain accessors give and take the new type, and constructors too
 * @param accepted the kinds of refusal that are accepted
 */
public record ExtractValue(
    String type,
    String field,
    String name,
    Optional<String> check,
    boolean accessors,
    Set<RefusalKind> accepted)
    implements Refactoring {

  public ExtractValue {
    accepted = Set.copyOf(accepted);
  }

  /** The kinds of refusal that can be accepted. */
  public static List<RefusalKind> acceptable() {
    return List.of(
        RefusalKind.MAPPED_FIELD,
        RefusalKind.SERIALIZED,
        RefusalKind.REFLECTED,
        RefusalKind.NAMED_ELSEWHERE);
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    Words.requireClassName(name);
    return Optional.of(
        new Steps(
            "%s of %s is a %s.".formatted(field, type.substring(type.lastIndexOf('.') + 1), name),
            List.of(new BeginValue(this), new WrapField(this))));
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    throw new IllegalStateException("it is made of steps");
  }

  @Override
  public Set<RefusalKind> accepted() {
    return accepted;
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("%s cannot be a value of its own".formatted(field))
        .because(
            RefusalKind.NAME_HIDDEN,
            verdict,
            accessors ? "Leave --accessors out." : "Choose another name with --name.");
  }

  @Override
  public String participle() {
    return "changed";
  }

  @Override
  public String command() {
    return "pare extract value %s --name %s%s%s%s"
        .formatted(
            Arguments.quoted(type + "#" + field),
            name,
            check.map(each -> " --check " + Arguments.quoted(each)).orElse(""),
            accessors ? " --accessors" : "",
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "extract value " + name;
  }
}
