package paredown.refactor.operation.extractmethod;

import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import paredown.UnusableRequest;
import paredown.gate.Verdict;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Sources;
import paredown.refactor.Cannot;
import paredown.refactor.Refactoring;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.Part;
import paredown.refactor.code.Place;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Words;
import paredown.refactor.operation.condition.ReshapeCondition;
import paredown.refactor.operation.movemethod.MoveMethod;
import paredown.refactor.plan.Arguments;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.plan.Rounds;
import paredown.refactor.plan.TypedPart;

/**
 * Extract method makes a private method of some statements, or of an expression, and calls it in
 * their place. It can move on at once to the type that it belongs to.
 *
 * @param place where they stand, as it is typed
 * @param name of the new method
 * @param target the type that gets it; empty where it stays
 * @param others that say the same, and call it, too
 * @param accepted the kinds of refusal that are accepted for its move
 * @param result the name of a class of the values that it gives; empty where that is one at most
 * @param given which of the literals in the code, counted from 0, the method takes; mostly none
 * @param form how the new method is declared
 */
public record ExtractMethod(
    String place,
    String name,
    Optional<String> target,
    Others others,
    Set<RefusalKind> accepted,
    Optional<String> result,
    Set<Integer> given,
    NewForm form)
    implements Refactoring {

  public ExtractMethod {
    accepted = Set.copyOf(accepted);
    given = Set.copyOf(given);
  }

  /** An extraction of one place, whose method is private and stays. */
  public ExtractMethod(String place, String name) {
    this(
        place,
        name,
        Optional.empty(),
        Others.NONE,
        Set.of(),
        Optional.empty(),
        Set.of(),
        NewForm.ANY);
  }

  /** The same, whose method moves on to a type. */
  public ExtractMethod to(String type) {
    return new ExtractMethod(place, name, Optional.of(type), others, accepted, result, given, form);
  }

  /** The same for other places, too. */
  public ExtractMethod with(Duplicates which) {
    return with(new Others(which, Set.of()));
  }

  private ExtractMethod with(Others some) {
    return new ExtractMethod(place, name, target, some, accepted, result, given, form);
  }

  /** The same, whose values become an object of a class of that name, where they are several. */
  public ExtractMethod giving(String classOfValues) {
    return new ExtractMethod(
        place, name, target, others, accepted, Optional.of(classOfValues), given, form);
  }

  /** The same, whose method takes some of the literals. */
  public ExtractMethod taking(Set<Integer> literals) {
    return new ExtractMethod(place, name, target, others, accepted, result, literals, form);
  }

  /** The same, whose method is declared in another form. */
  public ExtractMethod as(NewForm other) {
    return new ExtractMethod(place, name, target, others, accepted, result, given, other);
  }

  /** The same, which stays in its class. */
  private ExtractMethod staying() {
    return new ExtractMethod(
        place,
        name,
        Optional.empty(),
        others,
        Set.of(),
        result,
        given,
        target.isPresent() ? form.onItsWay() : form);
  }

  /** The same under another name. */
  public ExtractMethod named(String other) {
    return new ExtractMethod(place, other, target, others, accepted, result, given, form);
  }

  /** The same in another place. */
  public ExtractMethod at(String other) {
    return new ExtractMethod(other, name, target, others, accepted, result, given, form);
  }

  /** The same, which names its place by what stands there, wherever other steps leave that. */
  public ExtractMethod quoted(Sources sources) {
    Place lines = Place.of(place);
    return at(lines.quoted(sources.text(lines.path(sources, sources.index()))).toString());
  }

  /** The same, which overrules one more kind of refusal. */
  public ExtractMethod accepting(RefusalKind kind) {
    Set<RefusalKind> more = new TreeSet<>(accepted);
    more.add(kind);
    return new ExtractMethod(place, name, target, others, more, result, given, form);
  }

  /** Which other places that say the same call it, too. */
  public Duplicates duplicates() {
    return others.which();
  }

  @Override
  public List<Question> questions(Sources sources, SourceIndex index) {
    if (duplicates() != Duplicates.ASK) {
      return List.of();
    }
    TypedPart typed = TypedPart.at(place, sources);
    return new ExtractMethodPlan(with(Duplicates.ALL), typed.trees(), typed.part(), Set.of())
        .questions();
  }

  @Override
  public ExtractMethod without(List<Question> no) {
    return duplicates() == Duplicates.ASK
        ? with(
            new Others(
                Duplicates.ANY, no.stream().map(Question::place).collect(Collectors.toSet())))
        : this;
  }

  /** The kinds of refusal that can be accepted where the method moves on. */
  public static List<RefusalKind> acceptable() {
    return MoveMethod.acceptable();
  }

  @Override
  public Optional<Steps> steps(Sources sources) {
    List<Refactoring> all = new ArrayList<>();
    ExtractMethod here = staying();
    if (form.condition().isPresent()) {
      ReshapeCondition before = new ReshapeCondition(place, form.condition().get());
      all.add(before);
      here = here.at(before.after(sources)).as(here.form().asItStands());
    }
    all.add(here);
    Optional<MoveMethod> move = target.map(to -> move(sources, to));
    move.map(MoveOn::new).ifPresent(all::add);
    String summary =
        move.map(
                to ->
                    "Code of %s becomes %s of %s."
                        .formatted(simple(to.type()), name, simple(to.target())))
            .orElse("A condition becomes %s.".formatted(name));
    return all.size() > 1 ? Optional.of(new Steps(summary, all)) : Optional.empty();
  }

  private static String simple(String type) {
    return type.substring(type.lastIndexOf('.') + 1);
  }

  /** The step that moves the method on. */
  private MoveMethod move(Sources sources, String to) {
    Words.requireMethodName(name);
    TypedPart typed = TypedPart.at(place, sources);
    UnitTrees trees = typed.trees();
    TreePath first = typed.part().first();
    String owner = trees.classAround(first).getQualifiedName().toString();
    if (owner.isEmpty()) {
      throw Refused.because(RefusalKind.NOT_ALONE, place, trees.place(first.getLeaf()));
    }
    return new MoveMethod(
        owner, name, to, MoveMethod.Wishes.NONE.delegate(false).accepting(accepted).ofFresh());
  }

  @Override
  public Planned plan(Sources sources, SourceIndex index) {
    Words.requireMethodName(name);
    if (duplicates() == Duplicates.ASK) {
      throw new UnusableRequest(
          "Nobody can be asked here, for this is no terminal.",
          "Say --duplicates all, and --leave FILE:LINE for each place that stays as it is.");
    }
    Place wanted = Place.of(place);
    String path = wanted.path(sources, index);
    Rounds rounds = new Rounds(sources, index);
    return duplicates() == Duplicates.PROJECT || form.isOpen()
        ? rounds.plan(Set.of(path), program -> everywhere(program, path, wanted, index))
        : rounds.ofFile(
            path,
            trees -> new ExtractMethodPlan(this, trees, wanted.part(trees), Set.of()).change());
  }

  private Rounds.Outcome everywhere(Program program, String path, Place wanted, SourceIndex index) {
    ReadableFiles.require(program, Set.of(path));
    UnitTrees trees = new UnitTrees(program, program.unit(path).orElseThrow());
    Part part = wanted.part(trees);
    Set<String> files =
        duplicates() == Duplicates.PROJECT
            ? new Repeats(new Extraction(trees, part), form).files(index)
            : Set.of(path);
    // A method of the name below the class would clash with one that it inherits.
    Set<String> affected = new TreeSet<>(index.filesWith(Set.of(name)));
    affected.addAll(files);
    return new Rounds.Outcome(
        affected, () -> new ExtractMethodPlan(this, trees, part, files).change());
  }

  @Override
  public void explain(Verdict verdict) {
    throw new Cannot("The part does not mean the same in a method of its own")
        .because(RefusalKind.NOT_ALONE, verdict, "Take more, or less.");
  }

  @Override
  public String command() {
    return "pare extract method %s --name %s%s%s%s%s%s"
        .formatted(
            Arguments.quoted(place),
            name,
            others.options(),
            target.map(to -> " --to " + Arguments.quoted(to)).orElse(""),
            result.map(of -> " --result " + of).orElse(""),
            form.options(),
            Arguments.accepting(accepted));
  }

  @Override
  public String says() {
    return target
        .map(
            to ->
                "extract %s, and move it to %s"
                    .formatted(name, to.substring(to.lastIndexOf('.') + 1)))
        .orElse("extract method " + name);
  }
}
