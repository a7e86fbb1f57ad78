package paredown.refactor.operation.superclass;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import paredown.program.Program;
import paredown.program.Symbols;
import paredown.refactor.RefusalKind;
import paredown.refactor.Refused;
import paredown.refactor.carry.CodeElsewhere;
import paredown.refactor.code.ConstructorCall;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.code.Writes;
import paredown.refactor.effect.CalmCalls;
import paredown.refactor.flow.Shift;
import paredown.refactor.use.OwnerClass;
import paredown.refactor.use.OwnerTouches;

/**
 * What a constructor gives to final fields that go up: it gives it to the constructor above then.
 *
 * @param owner the class
 * @param constructor its constructor
 * @param called the constructor above that it calls, said or not
 * @param call where it says so; null where it does not
 * @param given for each of the fields above the statement that sets it, and what it is set to
 */
record GivenUp(
    OwnerClass owner,
    OwnerClass.Method constructor,
    ExecutableElement called,
    MethodInvocationTree call,
    Map<OwnerClass.Field, Setting> given) {

  /** A statement that gives a field its value. */
  record Setting(TreePath statement, TreePath value) {}

  /** The fields that only constructors can give their values. */
  static List<OwnerClass.Field> fields(CommonMembers common) {
    return common.fields().stream()
        .filter(each -> each.is(Modifier.FINAL) && !each.is(Modifier.STATIC))
        .filter(each -> each.tree().getInitializer() == null)
        .toList();
  }

  /**
   * What all constructors give that do not call another of their class.
   *
   * @throws Refused where one does not simply give it
   */
  static List<GivenUp> all(CommonMembers common) {
    List<GivenUp> all = new ArrayList<>();
    if (fields(common).isEmpty()) {
      return all;
    }
    for (OwnerClass owner : common.owners()) {
      List<OwnerClass.Method> constructors =
          owner.constructors().stream().filter(each -> !each.callsAnother()).toList();
      if (constructors.isEmpty()) {
        throw refused(common, fields(common).get(0), "an initialiser sets it", owner, owner.path());
      }
      constructors.forEach(each -> all.add(of(common, owner, each)));
    }
    return all;
  }

  private static Refused refused(
      CommonMembers common, OwnerClass.Field field, String why, OwnerClass owner, TreePath place) {
    return Refused.advising(
        RefusalKind.CONSTRUCTOR_SHAPE,
        "%s cannot go up: %s, and %s could not give it."
            .formatted(field.name(), why, common.parent().writtenName()),
        "Let each constructor begin with setting it to one of its parameters, or to a constant.",
        owner.trees().place(place.getLeaf()));
  }

  private static GivenUp of(CommonMembers common, OwnerClass owner, OwnerClass.Method constructor) {
    UnitTrees trees = owner.trees();
    TreePath body = new TreePath(constructor.path(), constructor.tree().getBody());
    List<? extends StatementTree> statements = constructor.tree().getBody().getStatements();
    MethodInvocationTree call = null;
    ExecutableElement called = null;
    List<TreePath> before = new ArrayList<>(initialisers(owner));
    Map<OwnerClass.Field, Setting> given = new LinkedHashMap<>();
    for (StatementTree each : statements) {
      TreePath statement = new TreePath(body, each);
      if (ConstructorCall.isSuper(each)) {
        call = (MethodInvocationTree) ((ExpressionStatementTree) each).getExpression();
        TreePath at = new TreePath(statement, call);
        called = (ExecutableElement) trees.element(new TreePath(at, call.getMethodSelect()));
        call = trees.end(call.getMethodSelect()) < 0 ? null : call;
        continue;
      }
      OwnerClass.Field set = set(common, owner, statement);
      if (set == null) {
        before.add(statement);
        continue;
      }
      AssignmentTree assignment = (AssignmentTree) ((ExpressionStatementTree) each).getExpression();
      TreePath value =
          new TreePath(new TreePath(statement, assignment), assignment.getExpression());
      requireFree(common, owner, constructor, set, value, before);
      requireQuiet(common, owner, set, before);
      given.put(set, new Setting(statement, value));
    }
    for (OwnerClass.Field field : fields(common)) {
      if (!given.containsKey(field)) {
        throw refused(
            common, field, "a constructor sets it in another way", owner, constructor.path());
      }
    }
    Program program = owner.program();
    List<TreePath> worked =
        given.values().stream()
            .map(Setting::value)
            .filter(each -> !isInert(program, each))
            .toList();
    if (!isInOrder(common, given, worked)) {
      throw refused(
          common,
          fields(common).get(0),
          "the fields are set in another order than they are declared in",
          owner,
          constructor.path());
    }
    if (called == null) {
      called = withoutArguments(common);
    }
    return new GivenUp(owner, constructor, called, call, given);
  }

  private static ExecutableElement withoutArguments(CommonMembers common) {
    return ElementFilter.constructorsIn(common.parent().element().getEnclosedElements()).stream()
        .filter(each -> each.getParameters().isEmpty() || each.isVarArgs())
        .findFirst()
        .orElseThrow();
  }

  /** What runs before the statements of a constructor. */
  private static List<TreePath> initialisers(OwnerClass owner) {
    List<TreePath> code = new ArrayList<>();
    owner.fields().stream()
        .filter(each -> each.startsWithObject())
        .forEach(each -> code.add(new TreePath(each.path(), each.tree().getInitializer())));
    owner.initialisers().stream()
        .filter(each -> !each.tree().isStatic())
        .forEach(each -> code.add(each.path()));
    return code;
  }

  /** The field above that a statement sets in a class; null for other statements. */
  private static OwnerClass.Field set(CommonMembers common, OwnerClass owner, TreePath statement) {
    if (!(statement.getLeaf() instanceof ExpressionStatementTree done)
        || !(done.getExpression() instanceof AssignmentTree assignment)) {
      return null;
    }
    TreePath variable = new TreePath(new TreePath(statement, assignment), assignment.getVariable());
    Element set = owner.trees().element(variable);
    return fields(common).stream()
        .filter(each -> common.of(owner, each).element().equals(set))
        .findFirst()
        .orElse(null);
  }

  /**
   * What a field gets must be what the constructor was given, or a value that nothing changes;
   * anything else only where nothing has run before.
   */
  private static void requireFree(
      CommonMembers common,
      OwnerClass owner,
      OwnerClass.Method constructor,
      OwnerClass.Field field,
      TreePath value,
      List<TreePath> before) {
    UnitTrees trees = owner.trees();
    Program program = owner.program();
    Set<Element> written =
        Writes.in(program, new TreePath(constructor.path(), constructor.tree().getBody()));
    boolean parameters =
        locals(trees, value).stream()
            .allMatch(
                each ->
                    each.getKind() == ElementKind.PARAMETER
                        && constructor.element().getParameters().contains(each)
                        && !written.contains(each));
    TypeMirror type = program.trees().getTypeMirror(value);
    TypeMirror wanted = common.of(owner, field).element().asType();
    boolean fits =
        wanted.getKind().isPrimitive()
            ? program.types().isSameType(type, wanted)
            : !type.getKind().isPrimitive() && program.types().isSubtype(type, wanted);
    boolean first =
        common.parent().doesNothing() && before.stream().allMatch(each -> isInert(program, each));
    boolean plain =
        trees.element(value) != null && trees.element(value).getKind() == ElementKind.PARAMETER
            || (first || isInert(program, value)) && CodeElsewhere.instance(trees, value).isEmpty();
    if (!parameters || !fits || !plain) {
      throw refused(common, field, "its value is worked out in a constructor", owner, value);
    }
  }

  private static boolean isInert(Program program, TreePath code) {
    return Shift.isInert(program, new CalmCalls(program), code);
  }

  /** Whether the values are given in the order in which the fields are set. */
  private static boolean isInOrder(
      CommonMembers common, Map<OwnerClass.Field, Setting> given, List<TreePath> values) {
    List<OwnerClass.Field> order = new ArrayList<>(given.keySet());
    return values.isEmpty() || order.equals(fields(common));
  }

  private static Set<Element> locals(UnitTrees trees, TreePath code) {
    Set<Element> found = new LinkedHashSet<>();
    new TreePathScanner<Void, Void>() {
      @Override
      public Void visitIdentifier(IdentifierTree tree, Void unused) {
        Element element = trees.element(getCurrentPath());
        if (element != null && Symbols.isLocal(element)) {
          found.add(element);
        }
        return null;
      }
    }.scan(code, null);
    return found;
  }

  /** What runs before must not come to the field, which would have its value by then. */
  private static void requireQuiet(
      CommonMembers common, OwnerClass owner, OwnerClass.Field field, List<TreePath> before) {
    Element own = common.of(owner, field).element();
    for (TreePath each : before) {
      boolean comes =
          !OwnerTouches.in(owner, each).isEmpty()
              || CodeElsewhere.named(owner.trees(), each).contains(own);
      if (comes) {
        throw refused(common, field, "what runs before could look at it", owner, each);
      }
    }
  }
}
