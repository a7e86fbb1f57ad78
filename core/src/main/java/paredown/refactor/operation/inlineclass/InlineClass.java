package paredown.refactor.operation.inlineclass;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.gate.Verdict;
import paredown.program.DeclaredType;
import paredown.program.Program;
import paredown.program.RecentPrograms;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/**
 * Inline class puts what a class has where it is used, and takes the class away with its file.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param into the class that takes its place; empty where there is one choice only
 * @param accepted the kinds of refusal that are accepted
 */
public record InlineClass(String type, Optional<String> into, Set<RefusalKind> accepted)
    implements Refactoring {

  public InlineClass {
    accepted = Set.copyOf(accepted);
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    DeclaredType header = sources.index().type(type);
    ReadableFiles.requireEditable(sources, header);
    Set<String> files = new TreeSet<>(sources.index().filesWith(Set.of(header.simpleName())));
    files.add(header.file());
    Program program = RecentPrograms.of(sources, files);
    ReadableFiles.require(program, files);
    return HelpersHome.of(this, OwnerClass.of(program, header), sources);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    DeclaredType header = index.type(type);
    Optional<DeclaredType> home = into.map(index::type);
    ReadableFiles.requireEditable(sources, header);
    Set<String> first = new TreeSet<>(index.filesWith(Set.of(header.simpleName())));
    first.add(header.file());
    home.ifPresent(each -> first.add(each.file()));
    return new Rounds(sources, index)
        .plan(
            first,
            program -> {
              ReadableFiles.require(program, first);
              Way way = way(OwnerClass.of(program, header), home);
              Set<String> affected = new TreeSet<>(first);
              affected.addAll(way.affected());
              return new Rounds.Outcome(affected, way::change);
            });
  }

  /** The first of the ways that fits. */
  private Way way(OwnerClass owner, Optional<DeclaredType> home) {
    Program program = owner.program();
    Overruled overruled = new Overruled(accepted);
    List<Way> ways = new ArrayList<>();
    FoldedUp.of(owner, overruled).ifPresent(ways::add);
    GoBetween.of(owner, overruled).ifPresent(ways::add);
    HeldObject.of(owner, home.map(each -> OwnerClass.of(program, each)), overruled)
        .ifPresent(ways::add);
    if (home.isPresent()) {
      String name = OwnerClass.of(program, home.get()).binaryName();
      ways.removeIf(way -> !program.symbols().binary(way.stays()).equals(name));
    }
    if (ways.isEmpty()) {
      throw new NoWay(owner, home.map(each -> OwnerClass.of(program, each))).refused();
    }
    return ways.get(0);
  }

  @Override
  public void explain(Verdict verdict) {
    String name = type.substring(type.lastIndexOf('.') + 1);
    throw new Cannot(
            "%s cannot be inlined: something would not compile then, or a name would mean something else"
                .formatted(name))
        .because(RefusalKind.NAME_TAKEN, verdict, "Rename one of the two first.");
  }

  @Override
  public Set<RefusalKind> accepted() {
    return accepted;
  }

  /** The kinds of refusal that this operation can be told to accept. */
  public static List<RefusalKind> acceptable() {
    return NamedFromOutside.acceptable();
  }

  /** The same where one kind of refusal more is accepted. */
  public InlineClass accepting(RefusalKind kind) {
    Set<RefusalKind> more = new TreeSet<>(accepted);
    more.add(kind);
    return new InlineClass(type, into, more);
  }

  @Override
  public String participle() {
    return "inlined";
  }

  @Override
  public String command() {
    return "pare inline class %s%s%s"
        .formatted(
            Arguments.quoted(type),
            into.map(each -> " --into " + Arguments.quoted(each)).orElse(""),
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "inline class " + type.substring(type.lastIndexOf('.') + 1);
  }
}
