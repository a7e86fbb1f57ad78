package paredown.refactor.operation.remove;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.type.TypeMirror;
import paredown.edit.Change;
import paredown.edit.Replacement;
import paredown.program.Program;
import paredown.program.Use;
import paredown.refactor.Cannot;
import paredown.refactor.RefusalKind;
import paredown.refactor.code.MemberRange;
import paredown.refactor.code.Rewriting;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.refactor.name.AccessLevel;
import paredown.refactor.name.StaticImports;
import paredown.refactor.plan.EditList;
import paredown.refactor.plan.EditedFiles;
import paredown.refactor.plan.ReadableFiles;
import paredown.refactor.use.FieldDeclaration;
import paredown.refactor.use.FieldOnlookers;
import paredown.refactor.use.MemberUses;
import paredown.refactor.use.MethodFamily;
import paredown.refactor.use.OnlookersFromOutside;
import paredown.refactor.use.OutsideNames;
import paredown.refactor.use.Overruled;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.ReflectionCheck;
import paredown.refactor.use.Remarks;
import paredown.refactor.use.Ties;
import paredown.text.Listed;

/** Works out what goes with members that nothing uses, or why they cannot go. */
final class RemoveMemberPlan {
  private static final String WHY = "nothing uses it";

  private final RemoveMember arguments;
  private final GoingMembers going;
  private final OwnerClass owner;
  private final Program program;
  private final Overruled overruled;
  private final EditList edits = new EditList();
  private final Map<String, TestsOf> tests = new LinkedHashMap<>();

  RemoveMemberPlan(RemoveMember arguments, GoingMembers going) {
    this.arguments = arguments;
    this.going = going;
    this.owner = going.owner();
    this.program = owner.program();
    this.overruled = new Overruled(arguments.accepted());
  }

  Change change() {
    going.fields().forEach(this::requireUnseen);
    going.methods().forEach(this::requireUntied);
    new ReflectionCheck(owner, going.keys()).requireUnless(overruled);
    OutsideNames.requireNone(owner, List.copyOf(going.names()), overruled);
    uses();
    links();
    removals();
    StaticImports.remove(owner, List.copyOf(going.keys().keySet()), edits::add);
    List<String> open = new ArrayList<>();
    going
        .keys()
        .keySet()
        .forEach(
            each -> {
              if (!each.getModifiers().contains(Modifier.PRIVATE)) {
                open.add(each.getSimpleName().toString());
              }
            });
    OnlookersFromOutside.assume(owner, open);
    return new Change(
        "%s of %s, which nothing uses, %s gone."
            .formatted(
                Listed.of(List.copyOf(going.names())),
                owner.writtenName(),
                going.names().size() > 1 ? "are" : "is"),
        new EditedFiles(program).of(edits),
        Map.of(),
        Map.of(),
        ReadableFiles.paths(program),
        new Change.Report(api(), List.of(), List.of(), overruled.notes())
            .assuming(owner.assumptions().all())
            .withoutTests(List.copyOf(tests.keySet())));
  }

  private List<String> api() {
    return going.keys().keySet().stream()
        .filter(AccessLevel::isApi)
        .map(each -> "%s.%s is gone".formatted(owner.writtenName(), each.getSimpleName()))
        .distinct()
        .toList();
  }

  private static Cannot cannot(String member) {
    return new Cannot("%s cannot be removed".formatted(member));
  }

  private void requireUnseen(OwnerClass.Field field) {
    String place = owner.trees().place(field.tree());
    boolean component =
        field.element().getKind() == ElementKind.ENUM_CONSTANT
            || owner.element().getKind() == ElementKind.RECORD && !field.is(Modifier.STATIC);
    if (component) {
      throw cannot(field.name())
          .because(
              RefusalKind.NOT_A_CLASS,
              "it is a constant of an enum, or a component of a record",
              "",
              place);
    }
    FieldOnlookers.requireNone(owner, field, overruled, "removed");
    if (field.tree().getInitializer() != null
        && !isOmissible(
            new TreePath(field.path(), field.tree().getInitializer()), field.element().asType())) {
      throw cannot(field.name())
          .because(
              RefusalKind.RUNS_OFTEN,
              "working its first value out does something, or could fail",
              "Do that in a statement of its own first.",
              place);
    }
  }

  /** Whether nobody misses it when code is not run whose value a variable of a type took. */
  private boolean isOmissible(TreePath code, TypeMirror taken) {
    return new Shift(program, new CalmCalls(program), code, taken, owner.assumptions())
        .isOmissible();
  }

  private void requireUntied(OwnerClass.Method method) {
    String place = owner.source().place(method.range().declaration());
    if (MethodFamily.of(program, method.element()).size() > 1) {
      throw cannot(method.name())
          .because(
              RefusalKind.OVERRIDES,
              "others that it overrides, or that override it, dispatch together with it",
              "",
              place);
    }
    if (Ties.isCalledByName(method.name()) || method.is(Modifier.NATIVE)) {
      throw cannot(method.name())
          .because(RefusalKind.FIXED_NAME, "somebody outside the sources calls it", "", place);
    }
    Optional<AnnotationTree> telling =
        Remarks.telling(owner, method.path(), method.tree().getModifiers(), name -> false)
            .filter(each -> !overruled.overrules(RefusalKind.MAPPED_FIELD))
            .findFirst();
    if (telling.isPresent()) {
      throw cannot(method.name())
          .because(
              RefusalKind.MAPPED_FIELD,
              "its annotation says that something outside the code calls it",
              "If that does not matter here, say --accept mapped-field.",
              owner.trees().place(telling.get()));
    }
  }

  /** Only what goes may use it, statements that do nothing but set it, and tests. */
  private void uses() {
    for (MemberUses.MemberUse use : MemberUses.of(program, going.keys())) {
      if (use.isImport() || going.holds(use)) {
        continue;
      }
      String name = use.trees().element(use.path()).getSimpleName().toString();
      if (TestsOf.isTest(program, use)) {
        test(name, use);
      } else {
        setting(name, use);
      }
    }
  }

  private void test(String name, MemberUses.MemberUse use) {
    Optional<TestsOf> test = TestsOf.around(use);
    if (test.isEmpty() || !arguments.withTests()) {
      throw cannot(name)
          .because(
              RefusalKind.STILL_USED,
              test.isEmpty()
                  ? "a test class uses it outside of a test"
                  : "a test uses it, " + test.get().name().replaceAll("^.*\\.", ""),
              test.isEmpty()
                  ? "Take it out there first."
                  : "--with-tests takes such tests away, too.",
              use.place());
    }
    tests.putIfAbsent(test.get().name(), test.get());
  }

  /** A statement that sets the field, and does nothing else that shows, goes with it. */
  private void setting(String name, MemberUses.MemberUse use) {
    UnitTrees trees = use.trees();
    TreePath around = use.path().getParentPath();
    boolean statement =
        use.access() == MemberUses.Access.WRITE
            && around.getLeaf() instanceof AssignmentTree
            && around.getParentPath().getLeaf() instanceof ExpressionStatementTree
            && isOfItself(use)
            && isOmissible(
                new TreePath(around, ((AssignmentTree) around.getLeaf()).getExpression()),
                use.trees().element(use.path()).asType());
    if (!statement) {
      throw cannot(name).because(RefusalKind.STILL_USED, "it is used there", "", use.place());
    }
    int[] gone = trees.leaving(around.getParentPath().getLeaf());
    edits.add(trees.path(), Rewriting.of(trees, gone[0], gone[1], "nothing reads it").proving(WHY));
  }

  /** Whether nothing is worked out to reach the field. */
  private static boolean isOfItself(MemberUses.MemberUse use) {
    String said = use.path().getLeaf().toString();
    return use.simple() || said.startsWith("this.") && said.indexOf('.', 5) < 0;
  }

  private void links() {
    for (Element each : going.keys().keySet()) {
      for (Use use : program.uses().of(going.keys().get(each))) {
        boolean stays =
            use.isDoc()
                && !going.holds(use.file(), use.offset())
                && tests.values().stream().noneMatch(test -> isIn(test, use));
        if (stays) {
          throw cannot(each.getSimpleName().toString())
              .because(
                  RefusalKind.STILL_USED,
                  "a comment refers to it",
                  "Take that out first.",
                  program.unit(use.file()).orElseThrow().source().place(use.offset()));
        }
      }
    }
  }

  private static boolean isIn(TestsOf test, Use use) {
    return test.trees().path().equals(use.file())
        && test.range().start() <= use.offset()
        && use.offset() < test.range().end();
  }

  private void removals() {
    remove(owner.trees(), going.ranges());
    for (FieldDeclaration each : FieldDeclaration.of(owner, going.fields())) {
      if (!each.isWhole()) {
        each.removals().forEach(range -> remove(owner.trees(), range));
      }
    }
    Map<String, List<MemberRange>> byFile = new LinkedHashMap<>();
    Map<String, UnitTrees> files = new LinkedHashMap<>();
    for (TestsOf test : tests.values()) {
      files.put(test.trees().path(), test.trees());
      byFile.computeIfAbsent(test.trees().path(), each -> new ArrayList<>()).add(test.range());
    }
    byFile.forEach((file, ranges) -> remove(files.get(file), ranges));
  }

  private void remove(UnitTrees trees, List<MemberRange> ranges) {
    for (int[] range : MemberRange.merged(trees.source(), ranges)) {
      remove(trees, MemberRange.withGap(trees.source(), range));
    }
  }

  private void remove(UnitTrees trees, int[] range) {
    Replacement gone = Rewriting.removal(trees, range[0], range[1], WHY, List.of()).proving(WHY);
    edits.add(trees.path(), gone);
  }
}
