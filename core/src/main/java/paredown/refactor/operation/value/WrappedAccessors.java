package paredown.refactor.operation.value;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import paredown.program.Below;
import paredown.program.Program;
import paredown.refactor.code.LocalUses;
import paredown.refactor.code.UnitTrees;
import paredown.refactor.use.FixedHead;
import paredown.refactor.use.MethodFamily;
import paredown.refactor.use.OwnerClass;

/**
 * The methods and constructors through which the new type goes: those that only give the field, and
 * those with a parameter that they only keep in it.
 *
 * @param givers what only gives it
 * @param takers what keeps a parameter in it, with the position of that parameter
 */
record WrappedAccessors(
    OwnerClass owner, Set<OwnerClass.Method> givers, Map<OwnerClass.Method, Integer> takers) {

  static WrappedAccessors none(OwnerClass owner, OwnerClass.Field field) {
    return new WrappedAccessors(owner, Set.of(), Map.of());
  }

  static WrappedAccessors of(OwnerClass owner, OwnerClass.Field field) {
    Set<OwnerClass.Method> givers = new LinkedHashSet<>();
    Map<OwnerClass.Method, Integer> takers = new LinkedHashMap<>();
    for (OwnerClass.Method each : owner.methods()) {
      if (gives(owner, each, field) && isAlone(owner, each, List.of())) {
        givers.add(each);
      }
      take(owner, each, field, takers);
    }
    owner.constructors().forEach(each -> take(owner, each, field, takers));
    return new WrappedAccessors(owner, givers, takers);
  }

  private static boolean gives(OwnerClass owner, OwnerClass.Method method, OwnerClass.Field field) {
    Program program = owner.program();
    return !method.is(Modifier.STATIC)
        && method.tree().getParameters().isEmpty()
        && method.tree().getBody() != null
        && method.tree().getBody().getStatements().size() == 1
        && method.tree().getBody().getStatements().get(0) instanceof ReturnTree given
        && given.getExpression() != null
        && field.element().equals(owner.trees().element(given(method, given)))
        && program.types().isSameType(method.element().getReturnType(), field.element().asType());
  }

  private static TreePath given(OwnerClass.Method method, ReturnTree statement) {
    TreePath body = new TreePath(method.path(), method.tree().getBody());
    return new TreePath(new TreePath(body, statement), statement.getExpression());
  }

  /** Notes a method of which one parameter is only kept. */
  private static void take(
      OwnerClass owner,
      OwnerClass.Method method,
      OwnerClass.Field field,
      Map<OwnerClass.Method, Integer> takers) {
    if (method.tree().getBody() == null || method.element().isVarArgs()) {
      return;
    }
    List<? extends VariableTree> parameters = method.tree().getParameters();
    for (int i = 0; i < parameters.size(); i++) {
      TreePath declared = new TreePath(method.path(), parameters.get(i));
      List<TreePath> uses = LocalUses.of(owner.trees(), declared);
      boolean same =
          owner
              .program()
              .types()
              .isSameType(
                  method.element().getParameters().get(i).asType(), field.element().asType());
      if (same
          && uses.size() == 1
          && isKept(owner.trees(), uses.get(0), field)
          && isAlone(owner, method, List.of(i))) {
        takers.put(method, i);
        return;
      }
    }
  }

  private static boolean isKept(UnitTrees trees, TreePath use, OwnerClass.Field field) {
    return use.getLeaf() instanceof IdentifierTree
        && use.getParentPath().getLeaf() instanceof AssignmentTree set
        && set.getExpression() == use.getLeaf()
        && use.getParentPath().getParentPath().getLeaf() instanceof ExpressionStatementTree
        && field
            .element()
            .equals(trees.element(new TreePath(use.getParentPath(), set.getVariable())));
  }

  /**
   * Whether nobody overrides it, or calls it for a class without a name, and no lambda, annotation
   * or reference stands for it.
   */
  private static boolean isAlone(OwnerClass owner, OwnerClass.Method method, List<Integer> taken) {
    ExecutableElement element = method.element();
    Program program = owner.program();
    boolean alone =
        element.getKind() == ElementKind.CONSTRUCTOR
            ? Below.of(program, List.of(owner.element())).stream()
                .noneMatch(each -> each.getNestingKind() == NestingKind.ANONYMOUS)
            : MethodFamily.of(program, element).size() == 1;
    return alone
        && new FixedHead(program, owner.trees().place(owner.tree())).of(element, taken).isEmpty();
  }

  /** The words by which files could ask them. */
  Set<String> names() {
    Set<String> names = new TreeSet<>();
    givers.forEach(each -> names.add(each.name()));
    takers
        .keySet()
        .forEach(
            each -> names.add(each.name().equals("<init>") ? owner.simpleName() : each.name()));
    return names;
  }

  boolean gives(Object element) {
    return givers.stream().anyMatch(each -> each.element().equals(element));
  }

  /** The position of the parameter that a method keeps; -1 where it keeps none. */
  int taken(Object element) {
    return takers.entrySet().stream()
        .filter(each -> each.getKey().element().equals(element))
        .mapToInt(Map.Entry::getValue)
        .findFirst()
        .orElse(-1);
  }

  /** Whether a parameter is one that its method keeps. */
  boolean keeps(Element parameter) {
    return takers.entrySet().stream()
        .anyMatch(
            each -> each.getKey().element().getParameters().get(each.getValue()).equals(parameter));
  }
}
