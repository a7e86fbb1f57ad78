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
import paredown.project.SourceFile;
import paredown.refactor.Cannot;
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
import paredown.text.Counted;

/**
 * Move type takes a type with its file to another package of the same source folder, and opens what
 * the two packages need of each other; a type within another gets a file of its own.
 *
 * @param type the type, in any form that one type of the project answers to
 * @param target the package that gets it, which may be a new one; or the type that it goes into
 * @param inStrings whether its whole name is changed in strings, and in files that are not code
 * @param withTest whether its test class goes to the package as well
 * @param accepted the kinds of refusal that are accepted
 */
public record MoveType(
    String type, String target, boolean inStrings, boolean withTest, Set<RefusalKind> accepted)
    implements Refactoring {

  /** One that leaves strings and other files as they are. */
  public MoveType(String type, String target, Set<RefusalKind> accepted) {
    this(type, target, false, false, accepted);
  }

  public MoveType {
    accepted = Set.copyOf(accepted);
  }

  /**
   * A type within another is taken out of it first, and one that goes into another is put there.
   */
  @Override
  public Optional<Steps> steps(Sources sources) {
    SourceIndex index = sources.index();
    DeclaredType header = index.type(type);
    if (isType(index)) {
      if (withTest) {
        throw new UnusableRequest(
            "A test class does not go into a type.", "Leave --with-test out.");
      }
      return Optional.of(intoType(sources, header));
    }
    if (withTest) {
      return Optional.of(withTests(sources, header));
    }
    if (header.depth() == 0) {
      return Optional.empty();
    }
    Words.requirePackageName(target, "--to");
    String home = index.packageOf(header.file());
    List<Refactoring> all = new ArrayList<>(List.of(new Detach(this), new Unnest(this)));
    if (!home.equals(target)) {
      String alone = (home.isEmpty() ? "" : home + ".") + header.simpleName();
      all.add(new MoveType(alone, target, inStrings, false, accepted));
    }
    return Optional.of(
        new Steps("%s is a type of its own in %s.".formatted(header.simpleName(), target), all));
  }

  /** Its test classes follow, which are named after it and stand in its package. */
  private Steps withTests(Sources sources, DeclaredType header) {
    SourceIndex index = sources.index();
    String home = index.packageOf(header.file());
    Set<String> names = new TreeSet<>();
    for (String ending : List.of("Test", "Tests", "TestCase", "IT")) {
      names.add(header.simpleName() + ending);
    }
    names.add("Test" + header.simpleName());
    MoveType self = new MoveType(type, target, inStrings, false, accepted);
    List<Refactoring> all =
        new ArrayList<>(self.steps(sources).map(Steps::all).orElse(List.of(self)));
    index.types().stream()
        .filter(each -> each.depth() == 0 && names.contains(each.simpleName()))
        .filter(each -> index.packageOf(each.file()).equals(home))
        .filter(each -> sources.file(each.file()).orElseThrow().kind() == SourceFile.Kind.TEST)
        .forEach(each -> all.add(new MoveType(each.name(), target, inStrings, false, accepted)));
    int tests = all.size() - self.steps(sources).map(steps -> steps.all().size()).orElse(1);
    if (tests == 0) {
      throw new UnusableRequest(
          "%s has no test class of its name in its package.".formatted(header.simpleName()),
          "Leave --with-test out.");
    }
    return new Steps(
        "%s goes to %s, and %s with it."
            .formatted(
                header.simpleName(), target, Counted.of(tests, "test class", "test classes")),
        all);
  }

  /** Whether it goes into a type, where no package has that name. */
  private boolean isType(SourceIndex index) {
    boolean any =
        index.types().stream()
            .anyMatch(each -> ("." + each.name().replace('$', '.')).endsWith("." + target));
    return any && index.filesIn(target).isEmpty();
  }

  /** To the package of the other type, where it is not there, and then into the type. */
  private Steps intoType(Sources sources, DeclaredType header) {
    SourceIndex index = sources.index();
    DeclaredType around = index.type(target);
    if (around.equals(header) || around.name().startsWith(header.name() + ".")) {
      throw new UnusableRequest("A type does not go into itself.", "Name another with --to.");
    }
    String home = index.packageOf(header.file());
    String there = index.packageOf(around.file());
    List<Refactoring> all = new ArrayList<>();
    String alone = type;
    if (header.depth() > 0 || !home.equals(there)) {
      MoveType before = new MoveType(type, there, inStrings, false, accepted);
      all.addAll(before.steps(sources).map(Steps::all).orElse(List.of(before)));
      alone = (there.isEmpty() ? "" : there + ".") + header.simpleName();
    }
    all.add(new Nest(this, alone));
    return new Steps(
        "%s is a type of %s.".formatted(header.simpleName(), around.simpleName()), all);
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
    throw new Cannot(
            "%s cannot be moved to %s: a name means something else there, or cannot be seen"
                .formatted(name, target))
        .because(
            RefusalKind.NAME_TAKEN, verdict, "Rename one of the two, or choose another package.");
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
    return "pare move class %s --to %s%s%s%s"
        .formatted(
            Arguments.quoted(type),
            target,
            inStrings ? " --in-strings" : "",
            withTest ? " --with-test" : "",
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "move %s to %s".formatted(type.substring(type.lastIndexOf('.') + 1), target);
  }
}
