package paredown.refactor.operation.inlinemethod;

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
import paredown.refactor.use.NamedVariable;
import paredown.refactor.use.OwnerClass;

/**
 * Inline method puts the code of a method wherever the method is called, and takes the method away.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param method its name, with parameter types where it is overloaded
 * @param at the place of the one call that is meant, after which the method stays; empty for all
 * @param keep whether the method stays
 * @param accepted the kinds of refusal that are accepted
 */
public record InlineMethod(
    String type, String method, Optional<String> at, boolean keep, Set<RefusalKind> accepted)
    implements Refactoring {

  public InlineMethod {
    accepted = Set.copyOf(accepted);
  }

  /** Whether the method is still there afterwards. */
  boolean stays() {
    return keep || at.isPresent();
  }

  String name() {
    return method.replaceAll("\\(.*", "");
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType header = index.type(type);
    ReadableFiles.requireEditable(sources, header);
    Set<String> files = new TreeSet<>(Set.of(header.file()));
    files.addAll(index.filesWith(Set.of(name())));
    return new Rounds(sources, index)
        .plan(
            files,
            program -> {
              ReadableFiles.require(program, files);
              OwnerClass owner = OwnerClass.of(program, header);
              OwnerClass.Method meant = NamedVariable.method(owner, method);
              return new Rounds.Outcome(
                  files, () -> new InlineMethodPlan(this, owner, meant).change());
            });
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("The code of %s does not mean the same where it is called".formatted(name()))
        .because(
            RefusalKind.INFERRED_TYPE,
            verdict,
            "Inline the other calls with --at, or leave the method.");
  }

  @Override
  public Set<RefusalKind> accepted() {
    return accepted;
  }

  /** The kinds of refusal that this operation can be told to accept. */
  public static List<RefusalKind> acceptable() {
    return List.of(RefusalKind.MAPPED_FIELD, RefusalKind.REFLECTED, RefusalKind.STARTED_EARLIER);
  }

  @Override
  public String participle() {
    return "inlined";
  }

  @Override
  public String command() {
    return "pare inline method %s%s%s%s"
        .formatted(
            Arguments.quoted(type + "#" + method),
            at.map(place -> " --at " + Arguments.quoted(place)).orElse(""),
            keep ? " --keep" : "",
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "inline method " + name();
  }
}
