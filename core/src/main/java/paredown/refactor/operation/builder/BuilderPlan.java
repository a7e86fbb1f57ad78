package paredown.refactor.operation.builder;

import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Change;
import paredown.edit.Piece;
import paredown.edit.Replacement;
import paredown.edit.Written;
import paredown.program.Program;
import paredown.program.Unit;
import paredown.program.Use;
import paredown.program.UseKind;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.Landing;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Modifiers;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.FileNames;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.startup.StaticStart;
import paredown.refactor.use.MadeFromOutside;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** Works out the builder of a class, and who asks it then. */
final class BuilderPlan {
  private static final String WHY = "the builder gives it to the constructor";

  private final ExtractBuilder arguments;
  private final OwnerClass owner;
  private final Program program;
  private final EditList edits = new EditList();
  private final FileNames names;
  private final Set<ExecutableElement> called = new LinkedHashSet<>();
  private final Map<ExecutableElement, Set<ExecutableElement>> callers = new LinkedHashMap<>();
  private final List<String> notes = new ArrayList<>();

  BuilderPlan(ExtractBuilder arguments, OwnerClass owner) {
    this.arguments = arguments;
    this.owner = owner;
    this.program = owner.program();
    this.names = new FileNames(program, edits);
  }

  Change change() {
    Growing growing = new Growing(owner);
    Overruled overruled = new Overruled(arguments.accepted());
    requireFree();
    StaticStart.require(
        owner,
        owner,
        "%s gets no builder".formatted(owner.writtenName()),
        overruled.overrules(RefusalKind.STARTED_EARLIER));
    for (Unit unit : program.units()) {
      calls(growing, new UnitTrees(program, unit));
    }
    List<String> gone = remove(growing);
    if (arguments.isOnly()) {
      gone.addAll(close(growing));
    }
    List<Piece> text = new ArrayList<>();
    Landing landing = new Landing(owner);
    text.add(Written.plain(landing.before()));
    text.addAll(new BuilderText(growing, arguments.name(), names.of(owner.trees())).pieces());
    text.add(Written.plain(landing.behind()));
    edits.add(
        owner.trees().path(),
        new Replacement(
            landing.start(), landing.end(), text, List.of(), "nothing changes what is usual"));
    names.addImports();
    OnlookersFromOutside.assume(owner, List.of(arguments.name()));
    if (!gone.isEmpty() || arguments.isOnly()) {
      MadeFromOutside.assume(owner, owner.element());
    }
    notes.addAll(overruled.notes());
    return new Change(
        "%s is built by %s.".formatted(owner.writtenName(), arguments.name()),
        new EditedFiles(program).of(edits),
        Map.of(),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(api(gone), List.of(), List.of(), notes)
            .assuming(owner.assumptions().all()));
  }

  private void requireFree() {
    boolean taken =
        ElementFilter.typesIn(program.elements().getAllMembers(owner.element())).stream()
            .anyMatch(each -> each.getSimpleName().contentEquals(arguments.name()));
    if (taken) {
      throw Refused.advising(
          RefusalKind.NAME_TAKEN,
          "%s has a type %s already.".formatted(owner.writtenName(), arguments.name()),
          "Choose another with --name.",
          owner.trees().place(owner.tree()));
    }
  }

  private List<String> api(List<String> gone) {
    List<String> api = new ArrayList<>(gone);
    if (AccessLevel.isApi(owner.element())) {
      api.add("%s.%s is new".formatted(owner.writtenName(), arguments.name()));
    }
    return api;
  }

  private void calls(Growing growing, UnitTrees trees) {
    BuilderCall asking = new BuilderCall(arguments.name(), growing, owner, names, edits);
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitNewClass(NewClassTree tree, Void unused) {
        // Inner ones come first, so that outer ones take them along as they are then.
        super.visitNewClass(tree, null);
        if (tree.getClassBody() != null) {
          anonymous(growing, trees, getCurrentPath(), tree);
        } else if (trees.element(getCurrentPath()) instanceof ExecutableElement made
            && growing.all().containsKey(made)) {
          Shorter meant = growing.all().get(made);
          asking
              .ask(meant, trees, getCurrentPath(), tree)
              .ifPresent(
                  why -> {
                    called.add(made);
                    notes.add(
                        "%s still calls the constructor: %s.".formatted(trees.place(tree), why));
                  });
        }
        return null;
      }
    }.scan(trees.unit().tree(), null);
    program.uses().in(trees.path()).forEach(use -> used(growing, use));
  }

  /** A class without a name goes to one of the constructors that take as many. */
  private void anonymous(Growing growing, UnitTrees trees, TreePath path, NewClassTree tree) {
    if (owner.element().equals(trees.element(new TreePath(path, tree.getIdentifier())))) {
      growing.all().keySet().stream()
          .filter(each -> each.getParameters().size() == tree.getArguments().size())
          .forEach(called::add);
    }
  }

  /** A constructor that is called by others than creations stays; by another one, if that does. */
  private void used(Growing growing, Use use) {
    for (Shorter each : growing.all().values()) {
      if (use.kind() == UseKind.CREATION || !each.constructor().key().equals(use.key())) {
        continue;
      }
      Optional<OwnerClass.Method> caller =
          owner.constructors().stream()
              .filter(
                  one ->
                      use.file().equals(owner.trees().path())
                          && one.range().start() <= use.offset()
                          && use.offset() < one.range().end())
              .findFirst();
      if (caller.isEmpty()) {
        called.add(each.constructor().element());
      } else {
        callers
            .computeIfAbsent(each.constructor().element(), one -> new LinkedHashSet<>())
            .add(caller.get().element());
      }
    }
  }

  /** The constructors that somebody still calls. */
  private Set<ExecutableElement> staying(Growing growing) {
    Set<ExecutableElement> staying = new LinkedHashSet<>(called);
    for (OwnerClass.Method each : owner.constructors()) {
      boolean marked = !each.tree().getModifiers().getAnnotations().isEmpty();
      if (marked || !growing.all().containsKey(each.element())) {
        staying.add(each.element());
      }
    }
    boolean more = true;
    while (more) {
      more = false;
      for (Map.Entry<ExecutableElement, Set<ExecutableElement>> each : callers.entrySet()) {
        boolean asked = each.getValue().stream().anyMatch(staying::contains);
        more |= asked && staying.add(each.getKey());
      }
    }
    return staying;
  }

  /** Makes the longest constructor private, where nobody else calls it. */
  private List<String> close(Growing growing) {
    OwnerClass.Method longest = growing.longest();
    if (called.contains(longest.element())) {
      throw Refused.advising(
          RefusalKind.STILL_USED,
          "The constructor of %s cannot be private: others still call it."
              .formatted(owner.writtenName()),
          "Leave --private out.",
          owner.trees().place(longest.tree()));
    }
    Modifiers.access(owner.trees(), longest.tree().getModifiers(), longest.range(), "private ")
        .ifPresent(edit -> edits.add(owner.trees().path(), edit));
    return AccessLevel.isApi(longest.element())
        ? List.of(named(longest) + " is private")
        : List.of();
  }

  /** A constructor as callers know it: {@code Order(String)}. */
  private String named(OwnerClass.Method constructor) {
    return OwnerClass.signature(constructor).replace("<init>", owner.simpleName());
  }

  /** Takes the shorter constructors away that nobody calls any more. */
  private List<String> remove(Growing growing) {
    List<String> gone = new ArrayList<>();
    List<MemberRange> ranges = new ArrayList<>();
    Set<ExecutableElement> staying = staying(growing);
    for (Shorter each : growing.all().values()) {
      OwnerClass.Method constructor = each.constructor();
      boolean goes =
          !constructor.equals(growing.longest()) && !staying.contains(constructor.element());
      if (goes) {
        ranges.add(constructor.range());
        if (AccessLevel.isApi(constructor.element())) {
          gone.add(named(constructor) + " is gone");
        }
      }
    }
    for (int[] range : MemberRange.merged(owner.source(), ranges)) {
      int[] wide = MemberRange.withGap(owner.source(), range);
      edits.add(
          owner.trees().path(),
          Rewriting.removal(owner.trees(), wide[0], wide[1], WHY, List.of()).proving(WHY));
    }
    return gone;
  }
}
