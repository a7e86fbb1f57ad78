package paredown.refactor.operation.movemethod;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.SourceVersion;
import paredown.UnusableRequest;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.project.SourceFile;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Words;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.use.OwnerClass;

/**
 * Move method takes a method to another type, which is a parameter's, a field's, around or within
 * its own, or has no link to it yet.
 *
 * <p>Fowler, "Refactoring", second edition, 2018, chapter 8.
 *
 * @param type the class, in any form that one class of the project answers to
 * @param method a name, or a name with parameter types where it is overloaded
 * @param target the type that gets it, in any form that one type of the project answers to
 * @param wishes how it is to be done where there is a choice
 */
public record MoveMethod(String type, String method, String target, Wishes wishes)
    implements Refactoring {
  /** The ways that are no name of a parameter or field. */
  private static final Set<String> WAYS = Set.of("outer", "new", "callers", "static");

  /**
   * What is wished where there is a choice.
   *
   * @param through a parameter's or field's name, {@code outer}, {@code new}, {@code new-field},
   *     {@code callers} or {@code static}; empty where it is plain
   * @param delegate whether its old place goes on forwarding; empty where it is private or not
   *     decides
   * @param owner whether it receives its whole old object even where values would do
   * @param name its new name; empty where it keeps the old
   * @param accepted the kinds of refusal that are accepted
   * @param fresh whether a step before has made the method, so that nobody called it until then
   */
  public record Wishes(
      Optional<String> through,
      Optional<Boolean> delegate,
      boolean owner,
      Optional<String> name,
      Set<RefusalKind> accepted,
      boolean fresh) {
    public static final Wishes NONE =
        new Wishes(Optional.empty(), Optional.empty(), false, Optional.empty(), Set.of());

    public Wishes {
      accepted = Set.copyOf(accepted);
    }

    /** Wishes for a method that has been there. */
    public Wishes(
        Optional<String> through,
        Optional<Boolean> delegate,
        boolean owner,
        Optional<String> name,
        Set<RefusalKind> accepted) {
      this(through, delegate, owner, name, accepted, false);
    }

    public Wishes through(String word) {
      return new Wishes(Optional.of(word), delegate, owner, name, accepted, fresh);
    }

    public Wishes delegate(boolean keep) {
      return new Wishes(through, Optional.of(keep), owner, name, accepted, fresh);
    }

    public Wishes accepting(Set<RefusalKind> kinds) {
      return new Wishes(through, delegate, owner, name, kinds, fresh);
    }

    /** The same for a method that a step before has made. */
    public Wishes ofFresh() {
      return new Wishes(through, delegate, owner, name, accepted, true);
    }
  }

  @Override
  public Set<RefusalKind> accepted() {
    return wishes.accepted();
  }

  @Override
  public String command() {
    StringBuilder command = new StringBuilder("pare move method ");
    command.append(Arguments.quoted(type + "#" + method)).append(" --to ").append(target);
    wishes.through().ifPresent(word -> command.append(" --through ").append(word));
    wishes
        .delegate()
        .ifPresent(keep -> command.append(" --delegate ").append(keep ? "keep" : "none"));
    command.append(wishes.owner() ? " --pass owner" : "");
    wishes.name().ifPresent(name -> command.append(" --name ").append(name));
    return command.append(Arguments.accepting(wishes.accepted())).toString();
  }

  /** The same under another name in the new place. */
  public MoveMethod named(String name) {
    Wishes under =
        new Wishes(
            wishes.through(),
            wishes.delegate(),
            wishes.owner(),
            Optional.of(name),
            wishes.accepted(),
            wishes.fresh());
    return new MoveMethod(type, method, target, under);
  }

  /** The same where one more kind of refusal is accepted. */
  public MoveMethod accepting(RefusalKind kind) {
    Set<RefusalKind> more = new TreeSet<>(wishes.accepted());
    more.add(kind);
    Wishes accepting =
        new Wishes(
            wishes.through(),
            wishes.delegate(),
            wishes.owner(),
            wishes.name(),
            more,
            wishes.fresh());
    return new MoveMethod(type, method, target, accepting);
  }

  @Override
  public String says() {
    String simple = target.substring(target.lastIndexOf('.') + 1);
    String way = wishes.through().filter(SourceVersion::isIdentifier).orElse("");
    boolean named = !way.isEmpty() && !WAYS.contains(way);
    return "move method %s to %s%s".formatted(method, simple, named ? ", through " + way : "");
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    wishes.name().ifPresent(Words::requireMethodName);
    DeclaredType from = index.type(type);
    DeclaredType to = index.type(target);
    if (from.equals(to)) {
      throw new UnusableRequest(
          method + " is in " + to.name() + " already.", "Name another type with --to.");
    }
    requireEditable(from, sources);
    requireEditable(to, sources);
    ReadableFiles.requireSameSide(sources, method, from, to);
    try {
      return plan(sources, index, from, to, Optional.empty());
    } catch (Refused refused) {
      if (refused.kind() != RefusalKind.VALUE_HIDDEN) {
        throw refused;
      }
      return planWithOwner(sources, index, from, to, refused);
    }
  }

  /** A value that a caller cannot give is asked of the old object. */
  private Planned planWithOwner(
      Sources sources, SourceIndex index, DeclaredType from, DeclaredType to, Refused refused) {
    try {
      return plan(sources, index, from, to, Optional.of("a caller cannot see its values"));
    } catch (Refused worse) {
      throw refused;
    }
  }

  private Planned plan(
      Sources sources,
      SourceIndex index,
      DeclaredType from,
      DeclaredType to,
      Optional<String> ownerReason) {
    Set<String> home = new TreeSet<>(List.of(from.file(), to.file()));
    return new Rounds(sources, index)
        .plan(
            home,
            program -> {
              ReadableFiles.require(program, home);
              MoveMethodPlan plan =
                  new MoveMethodPlan(
                      this,
                      OwnerClass.of(program, from),
                      OwnerClass.of(program, to),
                      index,
                      ownerReason);
              return new Rounds.Outcome(plan.affected(), plan::change);
            });
  }

  private static void requireEditable(DeclaredType type, Sources sources) {
    SourceFile file = sources.file(type.file()).orElseThrow();
    if (!SourceIndex.isEditable(file)) {
      throw Refused.because(RefusalKind.GENERATED, type.name(), file.path());
    }
    if (type.keyword().equals("annotation")) {
      throw Refused.of(
          RefusalKind.TARGET_ELSEWHERE, type.name(), "it is an annotation", file.path());
    }
  }

  /** The kinds of refusal that this operation can be told to accept. */
  public static List<RefusalKind> acceptable() {
    return List.of(
        RefusalKind.MAYBE_NULL,
        RefusalKind.REFLECTED,
        RefusalKind.NAMED_ELSEWHERE,
        RefusalKind.STARTED_EARLIER);
  }
}
