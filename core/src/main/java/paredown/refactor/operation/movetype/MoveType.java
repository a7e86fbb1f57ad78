package paredown.refactor.operation.movetype;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.UnusableRequest;
import paredown.gate.Verdict;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Words;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.name.SpeltName;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/**
 * Move type takes a type with its file to another package of the same source folder, and opens what
 * the two packages need of each other; a type within another gets a file of its own.
 *
 * @param type the type, in any form that one type of the project answers to
 * @param target the package that gets it, which may be a new one
 * @param inStrings whether its whole name is changed in strings, and in files that are not code
 * @param accepted the kinds of refusal that are accepted
 */
public record MoveType(String type, String target, boolean inStrings, Set<RefusalKind> accepted)
    implements Refactoring {

  /** One that leaves strings and other files as they are. */
  public MoveType(String type, String target, Set<RefusalKind> accepted) {
    this(type, target, false, accepted);
  }

  public MoveType {
    accepted = Set.copyOf(accepted);
  }

  /** A type within another is taken out of it first. */
  @Override
  public Optional<Steps> steps(Sources sources) {
    SourceIndex index = sources.index();
    DeclaredType header = index.type(type);
    if (header.depth() == 0) {
      return Optional.empty();
    }
    Words.requirePackageName(target, "--to");
    String home = index.packageOf(header.file());
    List<Refactoring> all = new ArrayList<>(List.of(new Unnest(this)));
    if (!home.equals(target)) {
      String alone = (home.isEmpty() ? "" : home + ".") + header.simpleName();
      all.add(new MoveType(alone, target, inStrings, accepted));
    }
    return Optional.of(
        new Steps("%s is a type of its own in %s.".formatted(header.simpleName(), target), all));
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Words.requirePackageName(target, "--to");
    DeclaredType header = index.type(type);
    String home = index.packageOf(header.file());
    if (home.equals(target)) {
      throw new UnusableRequest(
          "%s is in %s already.".formatted(header.simpleName(), target),
          "Give another package with --to.");
    }
    ReadableFiles.requireEditable(sources, header);
    Set<String> first = new TreeSet<>(index.filesWith(Set.of(header.simpleName())));
    first.add(header.file());
    return new Rounds(sources, index)
        .plan(
            first,
            program -> {
              ReadableFiles.require(program, Set.of(header.file()));
              OwnerClass owner = OwnerClass.of(program, header);
              Set<String> affected = new TreeSet<>(first);
              affected.addAll(Neighbours.of(owner, index));
              if (inStrings) {
                affected.addAll(spelt(owner, target).files());
              }
              affected.addAll(new EmptiedPackage(header, sources, index).imported());
              MoveTypePlan plan = new MoveTypePlan(this, header, owner, index);
              return new Rounds.Outcome(affected, plan::change);
            });
  }

  /** Its whole name, where no compiler reads it, for a move to a package. */
  static SpeltName spelt(OwnerClass owner, String home) {
    String now = home.isEmpty() ? owner.simpleName() : home + "." + owner.simpleName();
    return new SpeltName(owner.program().sources(), owner.binaryName(), now);
  }

  @Override
  public void explain(Verdict verdict) {
    String name = type.substring(type.lastIndexOf('.') + 1);
    if (!verdict.dispatch().isEmpty()) {
      throw Refused.advising(
          RefusalKind.DISPATCH,
          "%s cannot be moved to %s: %s.".formatted(name, target, verdict.dispatch().get(0)),
          "",
          "");
    }
    Verdict.Objection met = verdict.first().orElseThrow();
    throw Refused.advising(
        RefusalKind.NAME_TAKEN,
        "%s cannot be moved to %s: a name means something else there, or cannot be seen: %s"
            .formatted(name, target, met.what()),
        "Rename one of the two, or choose another package.",
        met.place());
  }

  @Override
  public Set<RefusalKind> accepted() {
    return accepted;
  }

  /** The kinds of refusal that this operation can be told to accept. */
  public static List<RefusalKind> acceptable() {
    return NamedFromOutside.acceptable();
  }

  @Override
  public String command() {
    return "pare move class %s --to %s%s%s"
        .formatted(
            Arguments.quoted(type),
            target,
            inStrings ? " --in-strings" : "",
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "move %s to %s".formatted(type.substring(type.lastIndexOf('.') + 1), target);
  }
}
