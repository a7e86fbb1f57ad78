package paredown.refactor.operation.inlineclass;

import com.sun.source.tree.ClassTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import paredown.edit.Change;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.ImportOfGone;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.TypeRemoval;
import paredown.refactor.name.Widening;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.FieldOnlookers;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/**
 * A class whose one object another holds as a part of its own, so that its members can as well be
 * the other's.
 */
final class HeldObject implements Way {
  private final OwnerClass gone;
  private final OwnerClass home;
  private final OwnerClass.Field held;
  private final Overruled overruled;
  private final Program program;

  private HeldObject(OwnerClass gone, OwnerClass home, OwnerClass.Field held, Overruled overruled) {
    this.gone = gone;
    this.home = home;
    this.held = held;
    this.overruled = overruled;
    this.program = gone.program();
  }

  /**
   * A class as one whose object is held; empty where it is none.
   *
   * @param wanted the class that holds it; empty where any may
   */
  static Optional<HeldObject> of(
      OwnerClass gone, Optional<OwnerClass> wanted, Overruled overruled) {
    List<HeldObject> holders = isPart(gone) ? holders(gone, wanted, overruled) : List.of();
    return holders.size() == 1 ? Optional.of(holders.get(0)) : Optional.empty();
  }

  /**
   * Whether an object of a class could be a part of another: it is plain, and needs none around.
   */
  private static boolean isPart(OwnerClass gone) {
    Set<Modifier> modifiers = gone.element().getModifiers();
    boolean inner =
        gone.element().getNestingKind() != NestingKind.TOP_LEVEL
            && !modifiers.contains(Modifier.STATIC);
    return Way.isPlain(gone) && !inner && !modifiers.contains(Modifier.ABSTRACT);
  }

  private static List<HeldObject> holders(
      OwnerClass gone, Optional<OwnerClass> wanted, Overruled overruled) {
    List<HeldObject> holders = new ArrayList<>();
    for (OwnerClass home : wanted.map(List::of).orElseGet(() -> naming(gone))) {
      for (OwnerClass.Field field : home.fields()) {
        boolean holds =
            !home.element().equals(gone.element())
                && !field.is(Modifier.STATIC)
                && isAll(home, gone)
                && gone.element()
                    .equals(gone.program().types().asElement(field.element().asType()));
        if (holds) {
          holders.add(new HeldObject(gone, home, field, overruled));
        }
      }
    }
    return holders;
  }

  /** The fields that hold an object of a class, each as {@code Desk#clerk}. */
  static List<String> fields(OwnerClass gone, Optional<OwnerClass> wanted) {
    return holders(gone, wanted, new Overruled(Set.of())).stream()
        .map(each -> each.home.writtenName() + "#" + each.held.name())
        .toList();
  }

  /** Whether a class is all that another says that it is. */
  private static boolean isAll(OwnerClass home, OwnerClass gone) {
    return gone.element().getInterfaces().stream()
        .allMatch(each -> gone.program().types().isSubtype(home.element().asType(), each));
  }

  /** The classes that name a type as that of a member. */
  private static List<OwnerClass> naming(OwnerClass gone) {
    List<OwnerClass> found = new ArrayList<>();
    for (Unit unit : gone.program().units()) {
      UnitTrees trees = new UnitTrees(gone.program(), unit);
      for (TreePath mention : Mentions.of(trees, gone)) {
        TreePath around = mention.getParentPath().getParentPath();
        if (around != null
            && around.getLeaf() instanceof ClassTree
            && trees.element(around) instanceof TypeElement type) {
          OwnerClass home = OwnerClass.of(gone.program(), type);
          if (home != null && found.stream().noneMatch(each -> each.element().equals(type))) {
            found.add(home);
          }
        }
      }
    }
    return found;
  }

  @Override
  public Set<String> affected() {
    Set<String> affected = new TreeSet<>(Set.of(home.trees().path()));
    if (!held.is(Modifier.PRIVATE)) {
      affected.addAll(program.sources().index().filesWith(Set.of(held.name())));
    }
    return affected;
  }

  @Override
  public TypeElement stays() {
    return home.element();
  }

  @Override
  public Change change() {
    requirePlain();
    HomeNames names = new HomeNames(gone, home, held.element());
    HeldUses uses = new HeldUses(gone, home, held, names);
    Map<TreePath, TreePath> settings = uses.settings();
    new HeldStart(gone, home, held).require(settings.keySet());
    MadeHere.Reading reading = new MadeHere.Reading(gone, home.trees());
    Map<TreePath, MadeHere> made = new LinkedHashMap<>();
    settings.forEach((statement, value) -> made.put(statement, reading.of(value, false)));
    if (held.tree().getInitializer() != null) {
      made.put(
          held.path(), reading.of(new TreePath(held.path(), held.tree().getInitializer()), true));
    }
    EditList edits = new EditList();
    Widening widening = new Widening(program);
    TypeNames types = new TypeNames(home.trees(), program.symbols()::key);
    uses.collect(edits);
    HomeCode code = new HomeCode(gone, home, names, types, widening);
    HomeText text = new HomeText(held, names, uses, code, edits);
    List<Piece> carried = text.collect(made);
    new DocStandIn(gone, home.element(), names.keysWithClass(), key -> key, this::docNames)
        .collect(edits);
    for (Unit unit : program.units()) {
      UnitTrees trees = new UnitTrees(program, unit);
      List<Replacement> added =
          trees.path().equals(home.trees().path()) ? types.imports() : List.of();
      ImportOfGone.edits(gone, trees, added).forEach(each -> edits.add(trees.path(), each));
    }
    widening.collect(null, edits::add);
    edits.add(
        gone.trees().path(),
        TypeRemoval.of(gone, "its members are %s's now".formatted(home.simpleName()), carried));
    assume();
    return new Change(
        "%s has what %s had, and that is gone.".formatted(home.writtenName(), gone.writtenName()),
        new EditedFiles(program).of(edits),
        names.keys(),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(
                TypeRemoval.api(gone), widening.announced(), List.of(), notes(names, text))
            .assuming(gone.assumptions().all()));
  }

  private TypeNames docNames(UnitTrees trees) {
    return new TypeNames(trees, program.symbols()::key);
  }

  private void assume() {
    OnlookersFromOutside.assume(home, List.of(held.name()));
    gone.assumptions().addAll(home.assumptions().all());
  }

  private List<String> notes(HomeNames names, HomeText text) {
    List<String> notes = new ArrayList<>(overruled.notes());
    names
        .clashing()
        .forEach(
            each ->
                notes.add(
                    "%s is %s in %s, which has a member of that name already."
                        .formatted(each.getSimpleName(), names.of(each), home.simpleName())));
    if (!text.unused().isEmpty()) {
      notes.add(
          "Nobody calls %s of %s, so that it goes."
              .formatted(String.join(", ", text.unused()), gone.simpleName()));
    }
    return notes;
  }

  private void requirePlain() {
    new NamedFromOutside(gone, "inlined", overruled).require();
    FieldOnlookers.requireNone(home, held, overruled, "inlined");
    boolean enclosed =
        home.element().getKind() != ElementKind.CLASS || home.element().equals(gone.element());
    if (enclosed) {
      throw refused(RefusalKind.NOT_A_CLASS, home.simpleName() + " is no class", home);
    }
    if (home.isA("java.lang.Cloneable")) {
      throw refused(
          RefusalKind.CLONED,
          "clones of %s share one object now".formatted(home.simpleName()),
          home);
    }
    for (OwnerClass.Method method : gone.methods()) {
      if (method.is(Modifier.SYNCHRONIZED)) {
        throw refused(RefusalKind.LOCKED, method.name() + " locks its object", gone);
      }
      if (method.tree().getBody() == null) {
        throw refused(RefusalKind.NO_BODY, method.name() + " has no body", gone);
      }
    }
  }

  private Refused refused(RefusalKind kind, String why, OwnerClass where) {
    return Refused.advising(
        kind,
        "%s cannot be inlined into %s: %s.".formatted(gone.writtenName(), home.writtenName(), why),
        "",
        where.trees().place(where == home ? held.tree() : where.tree()));
  }
}
