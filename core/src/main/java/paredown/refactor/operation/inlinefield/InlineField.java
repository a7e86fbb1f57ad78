package paredown.refactor.operation.inlinefield;

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
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/**
 * Inline field puts the one value of a field, a constant mostly, wherever the field is read, and
 * takes the field away.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param field its name
 * @param constant whether a constant is meant, as it was typed
 * @param accepted the kinds of refusal that are accepted
 */
public record InlineField(String type, String field, boolean constant, Set<RefusalKind> accepted)
    implements Refactoring {

  public InlineField {
    accepted = Set.copyOf(accepted);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType header = index.type(type);
    ReadableFiles.requireEditable(sources, header);
    Set<String> files = new TreeSet<>(Set.of(header.file()));
    files.addAll(index.filesWith(Set.of(field)));
    return new Rounds(sources, index)
        .plan(
            files,
            program -> {
              ReadableFiles.require(program, files);
              OwnerClass owner = OwnerClass.of(program, header);
              OwnerClass.Field meant = owner.fields(List.of(field)).get(0);
              return new Rounds.Outcome(
                  files, () -> new InlineFieldPlan(this, owner, meant).change());
            });
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("The value of %s does not mean the same where it is read".formatted(field))
        .because(
            RefusalKind.INFERRED_TYPE,
            verdict,
            "Leave the field, or write there what its value needs.");
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
        RefusalKind.STARTED_EARLIER);
  }

  @Override
  public String participle() {
    return "inlined";
  }

  @Override
  public String command() {
    return "pare inline %s %s%s"
        .formatted(
            constant ? "constant" : "field",
            Arguments.quoted(type + "#" + field),
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "inline %s %s".formatted(constant ? "constant" : "field", field);
  }
}
