package paredown.refactor.operation.movemethod;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.UnusableRequest;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.edit.ChangedFile;
import paredown.edit.Replacement;
import paredown.program.Program;
import paredown.program.SourceIndex;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.carry.NewField;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.Assumptions;
import paredown.refactor.name.TypeNames;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.OutsideNames;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.ReflectionCheck;
import paredown.text.Listed;

/** Works out what moving a method does to every file, or why it cannot be done. */
final class MoveMethodPlan {
  private final MoveMethod arguments;
  private final OwnerClass owner;
  private final OwnerClass target;
  private final SourceIndex index;
  private final Program program;
  private final Moving moving;
  private final MovedChecks checks;

  /**
   * A plan.
   *
   * @param ownerReason why it needs its whole old object; empty where its code decides
   */
  MoveMethodPlan(
      MoveMethod arguments,
      OwnerClass owner,
      OwnerClass target,
      SourceIndex index,
      Optional<String> ownerReason) {
    this.arguments = arguments;
    this.owner = owner;
    this.target = target;
    this.index = index;
    this.program = owner.program();
    OwnerClass.Method method = method();
    Through through = new ThroughChoice(owner, target, method).of(arguments.wishes().through());
    this.checks = new MovedChecks(owner, target, method, through, arguments.wishes());
    checks.require();
    boolean delegate = checks.keepsDelegate();
    MovedCode code = MovedCode.of(owner, method, through, target.element(), delegate);
    Route route = new Route(owner, target, method, through, code, delegate);
    this.moving = new Moving(route, arguments.wishes(), ownerReason);
    checks.requireTarget(moving);
  }

  private OwnerClass.Method method() {
    List<OwnerClass.Method> meant = owner.methods(List.of(arguments.method()));
    if (meant.size() > 1) {
      throw new UnusableRequest(
          "%s has %d methods %s.".formatted(owner.writtenName(), meant.size(), arguments.method()),
          "Say which: "
              + Listed.of(
                  meant.stream()
                      .map(
                          each -> "'" + owner.simpleName() + "#" + OwnerClass.signature(each) + "'")
                      .toList())
              + ".");
    }
    return meant.get(0);
  }

  /** The files whose meaning the change could touch. */
  Set<String> affected() {
    Set<String> affected = new TreeSet<>(List.of(owner.trees().path(), target.trees().path()));
    Set<String> words = new TreeSet<>(Set.of(moving.name()));
    words.addAll(moving.visibility().widening().names());
    if (!moving.delegate()) {
      if (!moving.method().is(Modifier.PRIVATE)) {
        affected.addAll(index.filesWith(Set.of(moving.method().name())));
      }
    }
    Set<String> family = new TreeSet<>(index.namesOfSubtypes(target.simpleName()));
    family.addAll(index.namesOfSubtypes(owner.simpleName()));
    boolean known = checks.targetKnowsName(moving.name());
    Set<String> holding = index.filesWith(words);
    if (!known) {
      holding.retainAll(index.filesWith(family));
    }
    affected.addAll(holding);
    return affected;
  }

  Change change() {
    checks.requireFreeName(moving);
    new ReflectionCheck(owner, Map.of(moving.method().element(), moving.method().key()))
        .requireUnless(
            moving.delegate() || arguments.wishes().accepted().contains(RefusalKind.REFLECTED));
    if (!moving.delegate()) {
      Overruled overruled = new Overruled(arguments.wishes().accepted());
      OutsideNames.requireNone(owner, List.of(moving.method().name()), overruled);
    }
    EditList edits = new EditList();
    Map<String, TypeNames> names = new HashMap<>();
    for (var unit : program.units()) {
      names.put(unit.path(), new TypeNames(new UnitTrees(program, unit), moving::key));
    }
    CallSites sites = new CallSites(moving, names);
    if (sites.makesObjects()) {
      checks.requireMade();
    }
    Replacement inserted = new MovedText(moving, names).inserted();
    edits.add(target.trees().path(), inserted);
    if (moving.delegate()) {
      edits.add(owner.trees().path(), new DelegateText(moving, names).replacement());
      if (moving.through() instanceof Through.Fresh fresh && fresh.kept()) {
        NewField field = new NewField(owner, target, moving.method());
        edits.add(owner.trees().path(), field.declared(names.get(owner.trees().path())));
      }
    } else {
      edits.add(owner.trees().path(), leaving());
      sites.collect(edits);
    }
    moving.visibility().widening().collect(moving.method().element(), edits::add);
    return assemble(edits, names);
  }

  private Replacement leaving() {
    MemberRange range = moving.method().range();
    int[] wide = MemberRange.withGap(owner.source(), new int[] {range.start(), range.end()});
    return Replacement.removal(wide[0], wide[1]);
  }

  private Change assemble(EditList edits, Map<String, TypeNames> names) {
    names.forEach((path, each) -> each.imports().forEach(edit -> edits.add(path, edit)));
    List<ChangedFile> files = new EditedFiles(program).of(edits);
    Set<String> affected =
        program.units().stream().map(unit -> unit.path()).collect(Collectors.toSet());
    return new Change(summary(), files, became(), becameForSelf(), affected, report());
  }

  private Map<String, String> became() {
    return moving.delegate() ? Map.of() : Map.of(moving.method().key(), moving.newKey());
  }

  private Map<String, String> becameForSelf() {
    Map<String, String> became = new LinkedHashMap<>();
    became.put(moving.method().key(), moving.newKey());
    became.put(Symbols.typeKey(owner.binaryName()), moving.newKey());
    return became;
  }

  private String summary() {
    String how =
        moving.through() instanceof Through.Nothing && !moving.method().is(Modifier.STATIC)
            ? " as a static method"
            : moving.through() instanceof Through.Fresh fresh
                ? fresh.kept() ? ", asked of an object in a new field" : ", asked of a new object"
                : moving.through() instanceof Through.Callers
                    ? ", asked of an object that each caller has"
                    : "";
    String stays = moving.delegate() ? "; %s keeps a delegate".formatted(owner.simpleName()) : "";
    return "%s of %s moves to %s%s%s."
        .formatted(
            OwnerClass.signature(moving.method()),
            owner.writtenName(),
            target.writtenName(),
            how,
            stays);
  }

  private Change.Report report() {
    List<String> api = new ArrayList<>();
    OwnerClass.Method method = moving.method();
    boolean visible =
        (method.is(Modifier.PUBLIC) || method.is(Modifier.PROTECTED)) && isVisible(owner.element());
    if (visible && !moving.delegate()) {
      api.add("the method %s#%s goes".formatted(owner.writtenName(), OwnerClass.signature(method)));
    }
    List<String> wider = new ArrayList<>();
    moving.visibility().change(moving.name()).ifPresent(wider::add);
    wider.addAll(moving.visibility().widening().announced());
    List<String> delegates = moving.delegate() ? List.of(OwnerClass.signature(method)) : List.of();
    return new Change.Report(api, wider, delegates, notes()).assuming(assumptions());
  }

  private List<Assumption> assumptions() {
    OnlookersFromOutside.assume(owner, List.of(moving.method().name()));
    OnlookersFromOutside.assume(target, List.of(moving.name()));
    Assumptions all = new Assumptions();
    all.addAll(owner.assumptions().all());
    all.addAll(target.assumptions().all());
    return all.all();
  }

  private static boolean isVisible(Element type) {
    return !(type instanceof TypeElement)
        || (type.getModifiers().contains(Modifier.PUBLIC)
                || type.getModifiers().contains(Modifier.PROTECTED))
            && isVisible(type.getEnclosingElement());
  }

  private List<String> notes() {
    List<String> notes = new ArrayList<>();
    if (!moving.given().values().isEmpty()) {
      notes.add(
          "It receives %s; --pass owner gives it the whole %s instead."
              .formatted(
                  Listed.of(moving.given().values().stream().map(Given.Value::name).toList()),
                  owner.simpleName()));
    }
    moving
        .given()
        .ownerReason()
        .filter(reason -> !reason.isEmpty())
        .ifPresent(
            reason ->
                notes.add("It receives its %s, since %s.".formatted(owner.simpleName(), reason)));
    Optional<Boolean> wished = arguments.wishes().delegate();
    if (moving.delegate() && wished.isEmpty() && checks.couldLeaveNone()) {
      notes.add("--delegate none moves every caller to the new place instead.");
    }
    return notes;
  }
}
