package paredown.refactor.operation.remove;

import com.sun.source.tree.ImportTree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.edit.Assumption;
import paredown.edit.Change;
import paredown.program.Program;
import paredown.program.Use;
import paredown.project.SourceFile;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.name.ImportOfGone;
import paredown.refactor.name.NamedFromOutside;
import paredown.refactor.name.ShownName;
import paredown.refactor.name.TypeRemoval;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;

/** Works out what goes with a type that nothing uses, or why it cannot go. */
final class RemoveClassPlan {
  private static final String WHY = "nothing uses it";

  private final RemoveClass arguments;
  private final OwnerClass owner;
  private final Program program;
  private final Overruled overruled;

  /** The files that only import it. */
  private final Set<String> importing = new LinkedHashSet<>();

  /** The test classes that go, by their files. */
  private final Map<String, OwnerClass> tests = new LinkedHashMap<>();

  RemoveClassPlan(RemoveClass arguments, OwnerClass owner) {
    this.arguments = arguments;
    this.owner = owner;
    this.program = owner.program();
    this.overruled = new Overruled(arguments.accepted());
  }

  Change change() {
    requireNoBeginning();
    new NamedFromOutside(owner, "removed", overruled).require();
    new ShownName(owner, program.sources().index()).assumeUnlooked();
    requireUnused(owner);
    tests.values().forEach(this::requireUnused);
    return new Change(
        owner.writtenName() + ", which nothing uses, is gone.",
        new EditedFiles(program).of(edits()),
        Map.of(),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(TypeRemoval.api(owner), List.of(), List.of(), overruled.notes())
            .assuming(assumed())
            .withoutTests(goneTests()));
  }

  /** What is assumed of it, and of those that go through classes within another or below it. */
  private List<Assumption> assumed() {
    List<Assumption> all = new ArrayList<>(owner.assumptions().all());
    Set<TypeElement> listing = new LinkedHashSet<>();
    if (owner.element().getEnclosingElement() instanceof TypeElement around) {
      listing.add(around);
    }
    for (TypeMirror above : program.types().directSupertypes(owner.element().asType())) {
      TypeElement type = (TypeElement) program.types().asElement(above);
      if (type.getModifiers().contains(Modifier.SEALED)) {
        listing.add(type);
      }
    }
    for (TypeElement each : listing) {
      OwnerClass type = OwnerClass.of(program, each);
      OnlookersFromOutside.assume(type, List.of());
      all.addAll(type.assumptions().all());
    }
    return all.stream().distinct().toList();
  }

  private EditList edits() {
    EditList edits = new EditList();
    edits.add(owner.trees().path(), TypeRemoval.of(owner, WHY, List.of()));
    for (OwnerClass test : tests.values()) {
      edits.add(test.trees().path(), TypeRemoval.of(test, "what it tests is gone", List.of()));
    }
    for (String file : importing) {
      UnitTrees trees = new UnitTrees(program, program.unit(file).orElseThrow());
      ImportOfGone.edits(owner, trees, List.of()).forEach(each -> edits.add(file, each));
    }
    return edits;
  }

  private Cannot cannot() {
    return new Cannot("%s cannot be removed".formatted(owner.writtenName()));
  }

  private void requireNoBeginning() {
    Optional<OwnerClass.Method> main =
        owner.methods().stream()
            .filter(each -> each.name().equals("main") && each.is(Modifier.STATIC))
            .findFirst();
    if (main.isPresent()) {
      throw cannot()
          .because(
              RefusalKind.FIXED_NAME,
              "its main method is where a program begins",
              "Remove that method first, if nobody starts it.",
              owner.trees().place(main.get().tree()));
    }
  }

  /** Only what goes may name a type, or what stands within it. */
  private void requireUnused(OwnerClass gone) {
    requireUnnamed(gone, gone.element());
  }

  private void requireUnnamed(OwnerClass gone, TypeElement type) {
    for (Use use : program.uses().of(program.symbols().key(type))) {
      if (!goes(use)) {
        requireNoUse(gone, use);
      }
    }
    ElementFilter.typesIn(type.getEnclosedElements()).forEach(each -> requireUnnamed(gone, each));
  }

  private boolean goes(Use use) {
    return isIn(owner, use)
        || tests.containsKey(use.file()) && isIn(tests.get(use.file()), use)
        || importing.contains(use.file()) && isInImport(use);
  }

  private static boolean isIn(OwnerClass type, Use use) {
    int[] range = TypeRemoval.range(type);
    return use.file().equals(type.trees().path())
        && range[0] <= use.offset()
        && use.offset() < range[1];
  }

  private void requireNoUse(OwnerClass gone, Use use) {
    if (isInImport(use)) {
      importing.add(use.file());
      return;
    }
    boolean test =
        program
            .sources()
            .file(use.file())
            .filter(each -> each.kind() == SourceFile.Kind.TEST)
            .isPresent();
    Optional<OwnerClass> own = test ? testOf(use) : Optional.empty();
    if (own.isPresent() && arguments.withTests() && gone == owner) {
      tests.put(use.file(), own.get());
      return;
    }
    throw cannot()
        .because(
            RefusalKind.STILL_USED,
            use.isDoc() ? "a comment refers to it" : test ? "a test uses it" : "it is used there",
            own.isPresent() && gone == owner
                ? "--with-tests takes %s away, too.".formatted(own.get().simpleName())
                : "Take that out first.",
            program.unit(use.file()).orElseThrow().source().place(use.offset()));
  }

  /** The one class of a test file, where it is named after the class. */
  private Optional<OwnerClass> testOf(Use use) {
    Set<String> names =
        Set.of(
            owner.simpleName() + "Test", owner.simpleName() + "Tests", "Test" + owner.simpleName());
    return program.sources().index().types().stream()
        .filter(each -> each.file().equals(use.file()) && names.contains(each.simpleName()))
        .map(each -> OwnerClass.of(program, each))
        .filter(TypeRemoval::isWholeFile)
        .findFirst();
  }

  private boolean isInImport(Use use) {
    UnitTrees trees = new UnitTrees(program, program.unit(use.file()).orElseThrow());
    for (ImportTree tree : trees.unit().tree().getImports()) {
      boolean meant =
          !tree.isStatic()
              && tree.getQualifiedIdentifier()
                  .toString()
                  .equals(owner.element().getQualifiedName().toString());
      if (meant && trees.start(tree) <= use.offset() && use.offset() < trees.end(tree)) {
        return true;
      }
    }
    return false;
  }

  private List<String> goneTests() {
    return tests.values().stream()
        .flatMap(
            test ->
                test.methods().stream()
                    .filter(each -> TestsOf.isTest(each.tree()))
                    .map(each -> test.binaryName() + "#" + each.name()))
        .toList();
  }
}
