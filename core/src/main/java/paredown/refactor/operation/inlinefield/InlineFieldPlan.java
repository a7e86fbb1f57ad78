package paredown.refactor.operation.inlinefield;

import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.edit.Replacement;
import paredown.program.Program;
import paredown.program.Use;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.carry.ValueInPlace;
import paredown.refactor.code.Constants;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.Sight;
import paredown.refactor.name.StaticImports;
import paredown.refactor.name.TypeNames;
import paredown.refactor.nulls.NonNull;
import paredown.refactor.nulls.NullDoubt;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.startup.Construction;
import paredown.refactor.startup.EarlyUses;
import paredown.refactor.startup.StaticFirst;
import paredown.refactor.startup.StaticStart;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.FieldOnlookers;
import paredown.refactor.use.Leaving;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.text.Counted;

/** Works out where the value of a field stands then, or why it cannot. */
final class InlineFieldPlan {
  private final InlineField arguments;
  private final OwnerClass owner;
  private final OwnerClass.Field field;
  private final Program program;
  private final UnitTrees trees;
  private final CalmCalls calm;
  private final Overruled overruled;
  private final EditList edits = new EditList();
  private final Map<String, TypeNames> names = new LinkedHashMap<>();

  private final Cannot cannot;

  InlineFieldPlan(InlineField arguments, OwnerClass owner, OwnerClass.Field field) {
    this.arguments = arguments;
    this.owner = owner;
    this.field = field;
    this.program = owner.program();
    this.trees = owner.trees();
    this.calm = new CalmCalls(program);
    this.overruled = new Overruled(arguments.accepted());
    this.cannot = new Cannot("%s cannot be inlined".formatted(field.name()));
  }

  Change change() {
    requireKind();
    requireValue();
    requireNoOnlooker();
    List<MemberUses.MemberUse> uses = uses();
    requireOneObject(uses);
    requireNoStart(uses);
    requireSetFirst();
    for (MemberUses.MemberUse use : uses) {
      edits.add(use.file(), put(use, use == uses.get(0)));
    }
    remove();
    names.forEach((file, types) -> types.imports().forEach(each -> edits.add(file, each)));
    OnlookersFromOutside.assume(
        owner, field.is(Modifier.PRIVATE) ? List.of() : List.of(field.name()));
    return new Change(
        "%s of %s goes; its value stands where it was read%s."
            .formatted(
                field.name(),
                owner.writtenName(),
                uses.size() == 1 ? "" : ": in " + Counted.of(uses.size(), "place", "places")),
        new EditedFiles(program).of(edits),
        Map.of(),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(api(), List.of(), List.of(), overruled.notes())
            .assuming(owner.assumptions().all()));
  }

  private List<String> api() {
    return AccessLevel.isApi(field.element())
        ? List.of("%s.%s is gone".formatted(owner.writtenName(), field.name()))
        : List.of();
  }

  private String place() {
    return trees.place(field.tree());
  }

  private void requireKind() {
    boolean isConstant = field.is(Modifier.STATIC) && field.is(Modifier.FINAL);
    if (arguments.constant() && !isConstant) {
      throw new UnusableRequest(
          field.name() + " is no constant; it is not static and final.",
          "Say pare inline field instead.");
    }
    boolean open = !field.is(Modifier.FINAL) && !field.is(Modifier.PRIVATE);
    if (open) {
      throw cannot.because(
          RefusalKind.VALUE_CHANGES,
          "it is neither final nor private, so that others could set it",
          "Make it final first.",
          place());
    }
    FieldDeclaration.requireAlone(owner, field, "inlined");
  }

  /** Requires a value that is the same at any time and for any object. */
  private void requireValue() {
    if (field.tree().getInitializer() == null) {
      throw cannot.because(
          RefusalKind.NO_VALUE,
          "it is given its value elsewhere",
          "Name a field that is declared with its value.",
          place());
    }
    TreePath value = value();
    boolean constant = Constants.unknown(trees, value).isEmpty();
    Shift shift = new Shift(program, calm, value, owner.assumptions());
    boolean calmly = Shift.isInert(program, calm, value) && shift.repeated().isEmpty();
    if (!constant && !calmly) {
      throw cannot.because(
          RefusalKind.VALUE_CHANGES,
          "its value could be another one each time that it is worked out",
          "Name a field with a constant value.",
          place());
    }
    CodeElsewhere.instance(trees, value)
        .ifPresent(
            self -> {
              throw cannot.because(
                  RefusalKind.NEEDS_OWNER,
                  "its value names members of its object",
                  "Name a field with a constant value.",
                  trees.place(self.getLeaf()));
            });
  }

  /** Requires that nobody compares what would be made anew for each place. */
  private void requireOneObject(List<MemberUses.MemberUse> uses) {
    if (field.element().getConstantValue() != null) {
      return;
    }
    new Shift(program, calm, value(), field.element().asType(), owner.assumptions())
        .repeated(uses.stream().map(MemberUses.MemberUse::path).toList())
        .ifPresent(
            met -> {
              throw cannot.because(met.kind(), met.why(), "Leave the field.", place());
            });
  }

  /** Reading a static field that is no constant starts its class; nobody must notice it not to. */
  private void requireNoStart(List<MemberUses.MemberUse> uses) {
    boolean starts =
        field.is(Modifier.STATIC)
            && field.element().getConstantValue() == null
            && uses.stream().anyMatch(use -> !owner.element().equals(use.scope()));
    if (starts) {
      StaticStart.require(
          owner,
          owner,
          field.name() + " cannot be inlined",
          overruled.overrules(RefusalKind.STARTED_EARLIER));
    }
  }

  /**
   * Nobody may see the field before it has its value, which stands there from the first on then.
   */
  private void requireSetFirst() {
    if (field.element().getConstantValue() != null) {
      return;
    }
    if (field.is(Modifier.STATIC)) {
      StaticFirst.require(owner, field);
    } else {
      requireNoEarlyRead();
    }
  }

  private void requireNoEarlyRead() {
    Leaving read = Leaving.of(owner, List.of(field.name()), List.of());
    try {
      new EarlyUses(read, new Construction(List.of(), List.of())).require();
    } catch (Refused early) {
      throw cannot.because(
          early.kind(),
          "it could be asked for before it has its value",
          "Leave the field.",
          early.places().get(0));
    }
  }

  private TreePath value() {
    return new TreePath(field.path(), field.tree().getInitializer());
  }

  private void requireNoOnlooker() {
    FieldOnlookers.requireNone(owner, field, overruled, "inlined");
    program.uses().of(field.key()).stream()
        .filter(Use::isDoc)
        .findFirst()
        .ifPresent(
            use -> {
              throw cannot.because(
                  RefusalKind.CALL_SHAPE,
                  "a comment links to it",
                  "Change the comment first.",
                  program.unit(use.file()).orElseThrow().source().place(use.offset()));
            });
  }

  /** Where it is read; it must be set nowhere. */
  private List<MemberUses.MemberUse> uses() {
    List<MemberUses.MemberUse> uses = new ArrayList<>();
    for (MemberUses.MemberUse use : MemberUses.of(program, Map.of(field.element(), field.key()))) {
      if (use.isImport()) {
        continue;
      }
      boolean reads =
          use.access() == MemberUses.Access.READ || use.access() == MemberUses.Access.LOCK;
      if (!reads) {
        throw cannot.because(
            RefusalKind.VALUE_CHANGES,
            "it is set again",
            "Inline what has one value.",
            use.place());
      }
      if (use.access() == MemberUses.Access.LOCK) {
        throw cannot.because(
            RefusalKind.LOCKED, "code locks it", "Leave what is a lock.", use.place());
      }
      requireUnasked(use);
      uses.add(use);
    }
    return uses;
  }

  /** An object that is asked for it must be one that need not be worked out. */
  private void requireUnasked(MemberUses.MemberUse use) {
    if (!(use.path().getLeaf() instanceof MemberSelectTree select)) {
      return;
    }
    TreePath asked = new TreePath(use.path(), select.getExpression());
    if (use.trees().element(asked) instanceof TypeElement) {
      return;
    }
    if (!new Shift(program, calm, asked, owner.assumptions()).isOmissible()) {
      throw cannot.because(
          RefusalKind.RUNS_OFTEN,
          "working out the object that is asked for it could show",
          "Give that object to a variable first.",
          use.place());
    }
    if (NullDoubt.isStated(program, asked)) {
      throw cannot.because(
          RefusalKind.MAYBE_NULL,
          "%s could be null, which would not show any more".formatted(asked.getLeaf()),
          "Check it there first.",
          use.place());
    }
    if (!field.is(Modifier.STATIC) && !NonNull.is(program, asked)) {
      owner
          .assumptions()
          .add(
              Assumption.Kind.NULL,
              "%s is never null here".formatted(asked.getLeaf()),
              use.place());
    }
  }

  /** Puts the value where the field was read. */
  private Replacement put(MemberUses.MemberUse use, boolean first) {
    TypeElement type = use.scope();
    TypeNames types =
        names.computeIfAbsent(
            use.file(), path -> new TypeNames(use.trees(), program.symbols()::key));
    ValueInPlace value = new ValueInPlace(trees, value(), field.element().asType(), types);
    boolean home = CodeElsewhere.isWithin(use.trees(), use.path(), owner.element());
    List<Replacement> inside =
        home ? List.of() : new CodeElsewhere(trees, types, type, first).edits(value());
    requireSeen(use, type, home);
    int start = use.trees().start(use.path().getLeaf());
    int end = use.trees().end(use.path().getLeaf());
    return Rewriting.of(
            use.trees(),
            start,
            end,
            "its value stands there",
            value.at(use.trees(), use.path(), first, inside),
            List.of())
        .proving("it is the value of the field");
  }

  private void requireSeen(MemberUses.MemberUse use, TypeElement type, boolean home) {
    if (home) {
      return;
    }
    for (Element each : CodeElsewhere.named(trees, value())) {
      if (new Sight(type, program).hides(each)) {
        throw cannot.because(
            RefusalKind.HIDDEN_FROM_OUTSIDE,
            each.getSimpleName() + " cannot be seen where it is read",
            "Inline " + each.getSimpleName() + " first.",
            use.place());
      }
    }
  }

  /** The declaration goes, with its comments, and so do static imports of it. */
  private void remove() {
    int[] range =
        MemberRange.withGap(trees.source(), new int[] {field.range().start(), field.range().end()});
    ValueInPlace value = new ValueInPlace(trees, value(), field.element().asType(), null);
    edits.add(
        trees.path(),
        Rewriting.removal(
                trees, range[0], range[1], "its value stands elsewhere", List.of(value.carried()))
            .proving("its value stands where it was read"));
    StaticImports.remove(owner, List.of(field.element()), edits::add);
  }
}
