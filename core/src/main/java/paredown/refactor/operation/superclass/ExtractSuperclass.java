package paredown.refactor.operation.superclass;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import paredown.UnusableRequest;
import paredown.gate.Verdict;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.alike.DifferingLiterals;
import paredown.refactor.code.Words;
import paredown.refactor.operation.extractmethod.Duplicates;
import paredown.refactor.operation.extractmethod.ExtractMethod;
import paredown.refactor.plan.Arguments;
import paredown.text.Listed;

/**
 * Extract superclass takes members that classes have in common up to the class that they extend:
 * the one that they have, or a new one that is put between.
 *
 * @param classes the classes, in any form that one type of the project answers to; the members of
 *     the first go up, and those of the others that say the same are gone
 * @param members names of its fields, and of its methods, with parameter types where they are
 *     overloaded
 * @param parts places that say the same, one in each class: each becomes a method first, with the
 *     name of the one member; mostly none
 * @param name the simple name of a new superclass; empty where the one that they have gets the
 *     members
 * @param accepted the kinds of refusal that are accepted
 */
public record ExtractSuperclass(
    List<String> classes,
    List<String> members,
    List<String> parts,
    Optional<String> name,
    Set<RefusalKind> accepted)
    implements Refactoring {

  public ExtractSuperclass {
    classes = List.copyOf(new LinkedHashSet<>(classes));
    members = List.copyOf(new LinkedHashSet<>(members));
    parts = List.copyOf(parts);
    accepted = Set.copyOf(accepted);
  }

  /** The same where the new superclass, or the method that parts become, has another name. */
  public ExtractSuperclass named(String other) {
    return new ExtractSuperclass(
        classes,
        parts.isEmpty() ? members : List.of(other),
        parts,
        parts.isEmpty() && name.isPresent() ? Optional.of(other) : name,
        accepted);
  }

  /** The same where a kind of refusal is accepted, too. */
  public ExtractSuperclass accepting(RefusalKind kind) {
    Set<RefusalKind> more = new LinkedHashSet<>(accepted);
    more.add(kind);
    return new ExtractSuperclass(classes, members, parts, name, more);
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    requireArguments();
    if (name.isEmpty() && parts.isEmpty()) {
      return Optional.empty();
    }
    List<Refactoring> all = new ArrayList<>();
    Set<Integer> given = parts.isEmpty() ? Set.of() : DifferingLiterals.of(parts, sources);
    for (String part : parts) {
      all.add(new ExtractMethod(part, members.get(0)).with(Duplicates.ANY).taking(given));
    }
    name.ifPresent(
        each -> {
          Words.requireClassName(each);
          all.add(new NewParent(this));
        });
    all.add(new MoveUp(this));
    String summary =
        name.map(
                each ->
                    "%s stands above %s and has %s."
                        .formatted(each, Listed.of(simpleNames()), Listed.of(members)))
            .orElseGet(
                () ->
                    "What %s say alike is %s of their superclass."
                        .formatted(Listed.of(simpleNames()), members.get(0)));
    return Optional.of(new Steps(summary, all));
  }

  private void requireArguments() {
    if (members.isEmpty()) {
      throw new UnusableRequest(
          "No members are named.", "Say which go up: --members register,waiting.");
    }
    if (!parts.isEmpty() && (members.size() != 1 || parts.size() != classes.size())) {
      throw new UnusableRequest(
          "--parts takes one place in each class, and one name for the method that they become.",
          "For example: --parts Desk:10-14,Till:20-24 --members total.");
    }
  }

  List<String> simpleNames() {
    return classes.stream().map(each -> each.substring(each.lastIndexOf('.') + 1)).toList();
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    requireArguments();
    return new MoveUp(this).plan(sources, index);
  }

  @Override
  public void explain(Verdict verdict) {
    new MoveUp(this).explain(verdict);
  }

  /** The kinds of refusal that this operation can be told to accept. */
  public static List<RefusalKind> acceptable() {
    return List.of(
        RefusalKind.MAPPED_FIELD,
        RefusalKind.REFLECTED,
        RefusalKind.SERIALIZED,
        RefusalKind.STARTED_EARLIER,
        RefusalKind.NAMED_ELSEWHERE);
  }

  @Override
  public String command() {
    return "pare extract superclass %s --members %s%s%s%s"
        .formatted(
            Arguments.quoted(String.join(",", classes)),
            Arguments.quoted(String.join(",", members)),
            parts.isEmpty() ? "" : " --parts " + Arguments.quoted(String.join(",", parts)),
            name.map(each -> " --name " + each).orElse(""),
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return name.map(each -> "extract superclass " + each)
        .orElseGet(
            () ->
                parts.isEmpty()
                    ? "move %s up to the superclass".formatted(Listed.of(members))
                    : "extract method %s of the superclass".formatted(members.get(0)));
  }
}
