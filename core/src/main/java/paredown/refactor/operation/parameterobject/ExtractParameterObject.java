package paredown.refactor.operation.parameterobject;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import paredown.UnusableRequest;
import paredown.program.DeclaredType;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.Words;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.plan.Arguments;
import paredown.text.Listed;

/**
 * Extract parameter object puts one object in the place of parameters that are passed together, in
 * a method with all that dispatch together with it, and gives it wherever they were given.
 *
 * <p>The object is of a new class with these values, or of one that there is.
 *
 * @param type the class, in any form that one type of the project answers to
 * @param method a method's name, with parameter types where it is overloaded; the name of the class
 *     for a constructor
 * @param parameters the names of the parameters
 * @param name the simple name of the object's class
 * @param everywhere whether all methods of the project with such parameters take it
 * @param withMethods whether private methods that need nothing else of their class follow it
 * @param accepted the kinds of refusal that are accepted
 */
public record ExtractParameterObject(
    String type,
    String method,
    List<String> parameters,
    String name,
    boolean everywhere,
    boolean withMethods,
    Set<RefusalKind> accepted)
    implements Refactoring {

  private static final int FEWEST = 2;

  public ExtractParameterObject {
    parameters = List.copyOf(parameters);
    accepted = Set.copyOf(accepted);
  }

  /** An extraction that accepts nothing. */
  public ExtractParameterObject(
      String type,
      String method,
      List<String> parameters,
      String name,
      boolean everywhere,
      boolean withMethods) {
    this(type, method, parameters, name, everywhere, withMethods, Set.of());
  }

  /** The same under another name. */
  public ExtractParameterObject named(String other) {
    return new ExtractParameterObject(
        type, method, parameters, other, everywhere, withMethods, accepted);
  }

  /** The same, which overrules one more kind of refusal. */
  public ExtractParameterObject accepting(RefusalKind kind) {
    Set<RefusalKind> more = new TreeSet<>(accepted);
    more.add(kind);
    return new ExtractParameterObject(
        type, method, parameters, name, everywhere, withMethods, more);
  }

  /** The kinds of refusal that can be accepted. */
  public static List<RefusalKind> acceptable() {
    return List.of(RefusalKind.REFLECTED);
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    Words.requireClassName(name);
    if (parameters.stream().distinct().count() < FEWEST) {
      throw new UnusableRequest(
          "One parameter is no object.", "Name two at least: --parameters departs,arrives.");
    }
    List<Refactoring> all = new ArrayList<>();
    if (existing(sources.index()).isEmpty()) {
      all.add(new BeginObject(this));
    }
    all.add(new GiveObject(this));
    int needed = all.size();
    if (withMethods) {
      all.addAll(Followers.of(this, sources));
    }
    String summary =
        "%s are passed as one %s%s."
            .formatted(
                Listed.of(parameters),
                name,
                everywhere ? " wherever they are passed together" : " to " + method);
    return Optional.of(new Steps(summary, all, needed));
  }

  /** Where no method follows, nothing is said of following. */
  @Override
  public Refactoring doing(List<Refactoring> done) {
    boolean follow = withMethods && done.stream().anyMatch(MoveMethod.class::isInstance);
    return new ExtractParameterObject(type, method, parameters, name, everywhere, follow, accepted);
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    return new GiveObject(this).plan(sources, index);
  }

  /** The class of that name in the package of the method's. */
  Optional<DeclaredType> existing(SourceIndex index) {
    String home = index.packageOf(index.type(type).file());
    return index.types().stream()
        .filter(each -> each.simpleName().equals(name))
        .filter(each -> index.packageOf(each.file()).equals(home))
        .findFirst();
  }

  @Override
  public String command() {
    return "pare extract parameter-object %s --parameters %s --name %s%s%s%s"
        .formatted(
            Arguments.quoted(type + "#" + method),
            String.join(",", parameters),
            name,
            everywhere ? " --everywhere" : "",
            withMethods ? " --with-methods" : "",
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return "extract parameter object " + name;
  }
}
