package paredown.refactor.operation.superclass;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import paredown.edit.Change;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.code.DocReference;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.Shadows;
import paredown.refactor.name.Widening;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.FileNames;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.text.Listed;

/** Works out what a class gets from those below it, or why it cannot. */
final class MoveUpPlan {
  private final ExtractSuperclass arguments;
  private final CommonMembers common;
  private final OwnerClass first;
  private final OwnerClass parent;
  private final Program program;
  private final EditList edits = new EditList();
  private final FileNames names;
  private final Widening widening;
  private PassedOn passed;
  private final List<String> notes = new ArrayList<>();
  private final Map<OwnerClass, Set<Integer>> lostComments = new LinkedHashMap<>();
  private final List<String> opened = new ArrayList<>();

  MoveUpPlan(ExtractSuperclass arguments, CommonMembers common) {
    this.arguments = arguments;
    this.common = common;
    this.first = common.first();
    this.parent = common.parent();
    this.program = first.program();
    this.names = new FileNames(program, edits);
    this.widening = new Widening(program);
  }

  Change change() {
    Overruled overruled = new Overruled(arguments.accepted());
    List<MemberUses.MemberUse> uses = MemberUses.of(program, keys());
    MoveUpChecks checks = new MoveUpChecks(common, uses, overruled);
    checks.require();
    passed = new PassedOn(common, names, edits);
    SeenAbove seen = SeenAbove.of(common, uses, this::goesUp);
    MembersAbove above = new MembersAbove(common, seen, names.of(parent.trees()), widening);
    above.fields().forEach(each -> edits.add(parent.trees().path(), each));
    passed.add();
    above.methods().forEach(each -> edits.add(parent.trees().path(), each));
    notes.addAll(above.notes());
    removals();
    uses.forEach(this::renamed);
    docs();
    OverridesAbove overrides = new OverridesAbove(common, edits);
    common.abstracted().forEach(each -> overriding(each, seen.of(each.key()), overrides));
    checks.overriding().forEach(overrides::say);
    widening.collect(null, edits::add);
    for (OwnerClass owner : common.owners()) {
      OnlookersFromOutside.assume(owner, List.copyOf(common.names()));
      parent.assumptions().addAll(owner.assumptions().all());
    }
    OnlookersFromOutside.assume(parent, List.copyOf(common.names()));
    names.addImports();
    Map<String, String> became = new LinkedHashMap<>(MoveUp.became(common));
    became.putAll(passed.became());
    List<String> wider = new ArrayList<>(seen.wider());
    wider.addAll(opened);
    wider.addAll(widening.announced());
    notes.addAll(overruled.notes());
    checks.overriding().forEach(each -> notes.add(each.sentence(parent)));
    return new Change(
        "%s has %s now, which %s had."
            .formatted(
                parent.writtenName(),
                Listed.of(new ArrayList<>(new LinkedHashSet<>(moved()))),
                Listed.of(common.owners().stream().map(OwnerClass::writtenName).toList())),
        new EditedFiles(program).of(edits),
        became,
        common.asked(),
        ReadableFiles.paths(program),
        new Change.Report(api(seen), wider, List.of(), notes).assuming(parent.assumptions().all()));
  }

  /** What others could see of the class above that it did not have. */
  private List<String> api(SeenAbove seen) {
    List<String> api = new ArrayList<>();
    if (!AccessLevel.isApi(parent.element())) {
      return api;
    }
    if (arguments.name().isPresent()) {
      return List.of(parent.writtenName() + " is new");
    }
    Map<String, String> all = new LinkedHashMap<>();
    common.fields().forEach(each -> all.put(each.key(), each.name()));
    common.methods().stream()
        .filter(each -> MoveUpChecks.announced(common, each).isEmpty())
        .forEach(each -> all.put(each.key(), OwnerClass.signature(each)));
    common.abstracted().forEach(each -> all.put(each.key(), OwnerClass.signature(each)));
    all.forEach(
        (key, name) -> {
          if (seen.of(key).compareTo(AccessLevel.PROTECTED) >= 0) {
            api.add("%s.%s is new".formatted(parent.writtenName(), name));
          }
        });
    return api;
  }

  private List<String> moved() {
    List<String> moved = new ArrayList<>();
    common.fields().forEach(each -> moved.add(each.name()));
    common.methods().forEach(each -> moved.add(each.name()));
    return moved;
  }

  private List<OwnerClass.Field> fields(OwnerClass owner) {
    return common.fields().stream().map(each -> common.of(owner, each)).toList();
  }

  private List<OwnerClass.Method> methods(OwnerClass owner) {
    return common.methods().stream().map(each -> common.of(owner, each)).toList();
  }

  private Map<Element, String> keys() {
    Map<Element, String> keys = new LinkedHashMap<>();
    for (OwnerClass owner : common.owners()) {
      fields(owner).forEach(each -> keys.put(each.element(), each.key()));
      methods(owner).forEach(each -> keys.put(each.element(), each.key()));
    }
    return keys;
  }

  /** Whether a use stands in what goes up, or in a twin that is gone. */
  private boolean goesUp(MemberUses.MemberUse use) {
    return isWithin(use.file(), use.offset()) || passed.isGone(use.file(), use.offset());
  }

  private boolean isWithin(String file, int offset) {
    return common.owners().stream()
        .filter(owner -> owner.trees().path().equals(file))
        .flatMap(owner -> ranges(owner).stream())
        .anyMatch(range -> range.start() <= offset && offset < range.end());
  }

  private List<MemberRange> ranges(OwnerClass owner) {
    List<MemberRange> ranges = new ArrayList<>();
    fields(owner).forEach(each -> ranges.add(each.range()));
    methods(owner).forEach(each -> ranges.add(each.range()));
    return ranges;
  }

  private void removals() {
    for (OwnerClass owner : common.owners()) {
      for (int[] range : MemberRange.merged(owner.source(), ranges(owner))) {
        int[] gone = MemberRange.withGap(owner.source(), range);
        String why = "%s has it now".formatted(parent.writtenName());
        edits.add(
            owner.trees().path(),
            owner.equals(first)
                ? Replacement.removal(gone[0], gone[1])
                : Rewriting.removal(owner.trees(), gone[0], gone[1], why, List.of()).proving(why));
      }
    }
    comments();
  }

  /** Tells of what only a twin says of itself. */
  private void comments() {
    for (Sibling sibling : common.siblings()) {
      sibling.fields().forEach((one, twin) -> comment(sibling.owner(), one.range(), twin.range()));
      common
          .methods()
          .forEach(
              one -> comment(sibling.owner(), one.range(), sibling.methods().get(one).range()));
    }
    tellOfComments();
  }

  private void comment(OwnerClass owner, MemberRange one, MemberRange twin) {
    String kept = first.source().slice(one.start(), one.declaration()).strip();
    String lost = owner.source().slice(twin.start(), twin.declaration()).strip();
    if (!lost.isEmpty() && !lost.equals(kept)) {
      int line = owner.source().line(twin.signs(owner.source())[0]);
      lostComments.computeIfAbsent(owner, each -> new TreeSet<>()).add(line);
    }
  }

  /** One sentence for each class, whatever it said. */
  private void tellOfComments() {
    lostComments.forEach(
        (owner, lines) -> {
          String all = String.join(", ", lines.stream().map(String::valueOf).toList());
          notes.add(
              "%s at %s:%s %s; %s keeps what %s says."
                  .formatted(
                      lines.size() == 1 ? "The comment" : "The comments",
                      owner.trees().path(),
                      all,
                      lines.size() == 1 ? "goes" : "go",
                      parent.writtenName(),
                      first.writtenName()));
        });
  }

  /** Names a twin by the name that stays, where it has another. */
  private void renamed(MemberUses.MemberUse use) {
    String name = use.trees().element(use.path()).getSimpleName().toString();
    String then = MoveUp.became(common).get(use.key()).replaceAll("^.*#|\\(.*", "");
    if (name.equals(then) || goesUp(use) || use.isImport()) {
      return;
    }
    Written.Text text = Written.text("");
    String qualifier = use.simple() ? new Shadows(use, then).qualifier() : "";
    Optional<Use> receiver = program.uses().at(use.file(), use.offset(), UseKind.RECEIVER);
    receiver.ifPresent(
        asked -> {
          if (qualifier.isEmpty()) {
            text.hereStill(UseKind.RECEIVER, asked.key(), asked.place());
          } else {
            Shadows.write(text, asked, qualifier);
          }
        });
    text.name(
        then, MoveUp.became(common).get(use.key()), Rewriting.name(use.trees(), use.offset()));
    int end = use.offset() + name.length();
    edits.add(use.file(), Replacement.of(use.offset(), end, text.done()));
  }

  /** Links to a twin of another name. */
  private void docs() {
    Map<String, String> became = MoveUp.became(common);
    for (Map.Entry<String, String> each : became.entrySet()) {
      String name = each.getKey().replaceAll("^.*#|\\(.*", "");
      String then = each.getValue().replaceAll("^.*#|\\(.*", "");
      if (name.equals(then)) {
        continue;
      }
      for (Use use : program.uses().of(each.getKey())) {
        if (use.isDoc() && !isWithin(use.file(), use.offset())) {
          UnitTrees trees = new UnitTrees(program, program.unit(use.file()).orElseThrow());
          int end = DocReference.end(trees.source(), use.offset());
          String said = trees.source().slice(use.offset(), end).replace("#" + name, "#" + then);
          edits.add(
              use.file(),
              Replacement.of(
                  use.offset(),
                  end,
                  Written.text("")
                      .here(UseKind.DOC, each.getValue(), use.place())
                      .text(said)
                      .done()));
        }
      }
    }
  }

  /** A method that is abstract above is overridden by all that they have. */
  private void overriding(OwnerClass.Method method, AccessLevel level, OverridesAbove overrides) {
    for (OwnerClass owner : common.owners()) {
      OwnerClass.Method own = common.of(owner, method);
      UnitTrees trees = owner.trees();
      overrides.say(owner, own, method);
      if (AccessLevel.of(own.element()).compareTo(level) < 0) {
        String word = level == AccessLevel.PACKAGE ? "" : level.word() + " ";
        Modifiers.access(trees, own.tree().getModifiers(), own.range(), word)
            .ifPresent(each -> edits.add(trees.path(), each));
        opened.add(
            "%s#%s: %s -> %s"
                .formatted(
                    owner.simpleName(),
                    own.name(),
                    AccessLevel.of(own.element()).word(),
                    level.word()));
      }
    }
  }
}
