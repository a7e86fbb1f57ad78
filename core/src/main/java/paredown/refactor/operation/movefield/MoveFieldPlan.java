package paredown.refactor.operation.movefield;

import com.sun.source.tree.MemberSelectTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import paredown.edit.Carried;
import paredown.edit.Change;
import paredown.edit.Indent;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.carry.DocsElsewhere;
import paredown.refactor.carry.FieldPlace;
import paredown.refactor.carry.Layout;
import paredown.refactor.code.DocReference;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.Shadows;
import paredown.refactor.name.Sight;
import paredown.refactor.name.StaticImports;
import paredown.refactor.name.TypeNames;
import paredown.refactor.name.Widening;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** Works out where a static field stands then and how it is named, or why it cannot move. */
final class MoveFieldPlan {
  private final MoveField arguments;
  private final OwnerClass owner;
  private final OwnerClass.Field field;
  private final OwnerClass target;
  private final Program program;
  private final UnitTrees trees;
  private final EditList edits = new EditList();
  private final Map<String, TypeNames> names = new LinkedHashMap<>();
  private final Widening widening;
  private final String key;
  private AccessLevel wanted = AccessLevel.PRIVATE;

  /** Through what a field of objects is reached; null for a static one. */
  private HeldTarget held;

  MoveFieldPlan(MoveField arguments, OwnerClass owner, OwnerClass.Field field, OwnerClass target) {
    this.arguments = arguments;
    this.owner = owner;
    this.field = field;
    this.target = target;
    this.program = owner.program();
    this.trees = owner.trees();
    this.widening = new Widening(program);
    this.key = Symbols.fieldKey(target.binaryName(), field.name());
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    new MoveFieldChecks(owner, field, target, overruled).require();
    if (!field.is(Modifier.STATIC)) {
      held = HeldTarget.of(owner, target, arguments.through());
      held.require(field, overruled.overrules(RefusalKind.TARGET_SHARED));
    }
    for (MemberUses.MemberUse use : MemberUses.of(program, Map.of(field.element(), field.key()))) {
      if (!use.isImport()) {
        edits.add(use.file(), held == null ? named(use) : asked(use));
      }
    }
    links();
    land();
    for (Map.Entry<String, TypeNames> each : names.entrySet()) {
      each.getValue().imports().forEach(added -> edits.add(each.getKey(), added));
    }
    StaticImports.remove(owner, List.of(field.element()), edits::add);
    widening.collect(field.element(), edits::add);
    OnlookersFromOutside.assume(owner, closed() ? List.of() : List.of(field.name()));
    OnlookersFromOutside.assume(
        target, level() == AccessLevel.PRIVATE ? List.of() : List.of(field.name()));
    owner.assumptions().addAll(target.assumptions().all());
    return new Change(
        "%s of %s is in %s now.".formatted(field.name(), owner.writtenName(), target.writtenName()),
        new EditedFiles(program).of(edits),
        Map.of(field.key(), key),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(api(), wider(), List.of(), overruled.notes())
            .assuming(owner.assumptions().all()));
  }

  private boolean closed() {
    return field.is(Modifier.PRIVATE);
  }

  private List<String> api() {
    return AccessLevel.isApi(field.element())
        ? List.of(
            "%s.%s is in %s now".formatted(owner.writtenName(), field.name(), target.writtenName()))
        : List.of();
  }

  private List<String> wider() {
    List<String> wider = new ArrayList<>();
    AccessLevel before = AccessLevel.of(field.element());
    if (level().compareTo(before) > 0) {
      wider.add(
          "%s#%s: %s -> %s"
              .formatted(target.simpleName(), field.name(), before.word(), level().word()));
    }
    wider.addAll(widening.announced());
    return wider;
  }

  private TypeNames names(UnitTrees unit) {
    return names.computeIfAbsent(unit.path(), path -> new TypeNames(unit, program.symbols()::key));
  }

  /** How far the field must be seen: as far as before, and from all who name it. */
  private AccessLevel level() {
    AccessLevel before = AccessLevel.of(field.element());
    AccessLevel level = before.compareTo(wanted) > 0 ? before : wanted;
    return target.element().getKind().isInterface() ? AccessLevel.PUBLIC : level;
  }

  /** What must be seen by all who ask for it, and be there. */
  private void seenFrom(TypeElement type, String place) {
    Sight sight = new Sight(type, program);
    AccessLevel level = AccessLevel.neededBy(sight, target.element());
    wanted = level.compareTo(wanted) > 0 ? level : wanted;
    widening.open(target.element(), sight, field.name(), place);
  }

  /** The field by its name in a place: alone within its new class, else behind it. */
  private Replacement named(MemberUses.MemberUse use) {
    UnitTrees unit = use.trees();
    Use.Place place = Rewriting.name(unit, use.offset());
    boolean home = CodeElsewhere.isWithin(unit, use.path(), target.element());
    Written.Text text = Written.text("");
    if (!home) {
      TypeElement scope = use.scope();
      seenFrom(scope == null ? owner.element() : scope, use.place());
      names(unit).write(text, target.element(), scope);
      text.text(".");
    }
    text.name(field.name(), key, place);
    boolean own = isOwn(use.file(), use.offset());
    int start = unit.start(use.path().getLeaf());
    int end = unit.end(use.path().getLeaf());
    if (use.path().getLeaf() instanceof MemberSelectTree select) {
      MoveFieldChecks.requireType(unit, new TreePath(use.path(), select.getExpression()), field);
    }
    return own
        ? new Replacement(start, end, List.of(text.done()), List.of())
        : Rewriting.of(unit, start, end, "it is in another class now", text.done());
  }

  /** A field of objects, asked of the object that holds it. */
  private Replacement asked(MemberUses.MemberUse use) {
    UnitTrees unit = use.trees();
    TypeElement scope = use.scope();
    Sight sight = new Sight(scope == null ? owner.element() : scope, program);
    seenFrom(scope == null ? owner.element() : scope, use.place());
    widening.open(held.field().element(), sight, held.field().name(), use.place());
    Written.Text text = Written.text("");
    Optional<Use> receiver = program.uses().at(use.file(), use.offset(), UseKind.RECEIVER);
    String qualifier = use.simple() ? new Shadows(use, held.field().name()).qualifier() : "";
    receiver.ifPresent(
        each -> {
          if (qualifier.isEmpty()) {
            text.hereStill(UseKind.RECEIVER, each.key(), each.place());
          } else {
            Shadows.write(text, each, qualifier);
          }
        });
    text.name(held.field().name(), held.field().key()).text(".");
    text.name(field.name(), key, Rewriting.name(unit, use.offset()));
    int end = use.offset() + field.name().length();
    return Replacement.of(use.offset(), end, text.done())
        .proving("%s is there, and is no other's".formatted(held.field().name()));
  }

  private boolean isOwn(String file, int offset) {
    return file.equals(trees.path())
        && field.range().start() <= offset
        && offset < field.range().end();
  }

  /** Links in comments follow. */
  private void links() {
    for (Use use : program.uses().of(field.key())) {
      if (use.isDoc() && !isOwn(use.file(), use.offset())) {
        UnitTrees unit = new UnitTrees(program, program.unit(use.file()).orElseThrow());
        String type = names(unit).knownOrFull(target.element(), null);
        int end = DocReference.end(unit.source(), use.offset());
        Written text =
            Written.text("")
                .here(UseKind.DOC, key, use.place())
                .text(type + "#" + field.name())
                .done();
        edits.add(use.file(), Replacement.of(use.offset(), end, text));
      }
    }
  }

  /** Carries the declaration, with its comments, to its new place. */
  private void land() {
    MemberRange range = field.range();
    int[] signs = range.signs(trees.source());
    int start = signs[0];
    int end = signs[1];
    List<Replacement> inside = new ArrayList<>();
    modifiers().ifPresent(inside::add);
    TypeNames types = names(target.trees());
    inside.addAll(new CodeElsewhere(trees, types, target.element(), true).edits(field.path()));
    DocsElsewhere docs =
        new DocsElsewhere(trees, types, target.element(), Map.of(field.key(), key));
    inside.addAll(docs.edits(start, end));
    inside.removeIf(each -> !each.isWithin(start, end));
    for (Replacement named : edits.take(trees.path(), start, end)) {
      inside.removeIf(each -> each.start() < named.end() && named.start() <= each.start());
      inside.add(named);
    }
    Sight sight = new Sight(target.element(), program);
    for (Element each : CodeElsewhere.named(trees, field.path())) {
      if (!each.equals(field.element())) {
        widening.open(each, sight, field.name(), trees.place(field.tree()));
      }
    }
    Layout from = Layout.of(owner);
    Layout to = Layout.of(target);
    Indent indent =
        new Indent(
            from.member(), to.member(), new Indent.Level(from.unit(), to.unit()), to.lineEnd());
    Carried carried = new Carried(trees.path(), start, end, inside, indent, null);
    FieldPlace place = held == null ? FieldPlace.ofStatic(target) : FieldPlace.ofInstance(target);
    edits.add(
        target.trees().path(),
        Replacement.of(
            place.at(),
            place.at(),
            Written.plain(place.before()),
            carried,
            Written.plain(place.behind())));
    int[] gone = MemberRange.withGap(trees.source(), new int[] {range.start(), range.end()});
    edits.add(trees.path(), Replacement.removal(gone[0], gone[1]));
  }

  /** Who sees it, and what an interface says without saying it. */
  private Optional<Replacement> modifiers() {
    boolean from = owner.element().getKind().isInterface();
    boolean to = target.element().getKind().isInterface();
    if (from && !to) {
      StringBuilder words = new StringBuilder();
      for (String word : List.of("public", "static", "final")) {
        if (!Modifiers.has(trees.source(), field.range(), word)) {
          words.append(word).append(' ');
        }
      }
      int at =
          Modifiers.behindAnnotations(
              trees, field.tree().getModifiers(), field.range().declaration());
      return words.isEmpty()
          ? Optional.empty()
          : Optional.of(Replacement.of(at, at, Written.plain(words.toString())));
    }
    String word = to || level() == AccessLevel.PACKAGE ? "" : level().word() + " ";
    return from
        ? Optional.empty()
        : Modifiers.access(trees, field.tree().getModifiers(), field.range(), word);
  }
}
